'use client';

import * as messages from '@/language/bench/brief';
import { InputNumber, Select } from 'antd';
import { useRouter } from 'next/navigation';
import { ChevronDown, ChevronRight } from 'lucide-react';
import { memo, useState } from 'react';
import type { KeyboardEvent, ReactNode } from 'react';
import type { Assumed, Brief } from '@/core/brief/brief';
import { trimmed } from '@/core/units/format';
import { item } from '@/core/units/items';
import type { ShotEditing } from '../../data/useShotEditing';
import styles from './sentence.module.css';
import { KitWord } from './KitWord';
import { useOwnThings } from '../../data/kit';
import { usePreference } from '../../data/repository';
import { useAfterPaint } from '../../ui/useAfterPaint';
import { useSunHere } from '../panels/light/useSunHere';
import { PanelLink, panelUrl } from './PanelLink';
import { sentenceOf } from './words';
import type { SentencePart, Word } from './wordControls';

/**
 * The brief as sentences whose words are controls, each folded to what the person set of it until it is opened. A solid
 * rule under a word: you set it; a dotted one: the usual.
 */
export function Sentence(told: Told): ReactNode {
  // Two dozen controls: while a hand moves elsewhere they come a moment later.
  return <Words told={useAfterPaint(told)} />;
}

interface Told {
  brief: Brief;
  assumed: readonly Assumed[];
  editing: ShotEditing;
}

const Words = memo(function Words({ told: { brief, assumed, editing } }: { told: Told }): ReactNode {
  const things = useOwnThings();
  const sunHere = useSunHere()?.tell;
  const own = { ...things, sunHere };
  const [shown, setShown] = usePreference('brief');
  const [opened, setOpened] = useState<ReadonlySet<PhraseId>>(new Set());
  const all = shown === 'open';
  const usual = new Set(assumed.map(({ path }) => path));
  const isUsual = (word: Word): boolean => usual.has(word.path) || usual.has(word.path.split('.')[0] ?? '');
  const turn = (id: PhraseId): void =>
    setOpened(
      (before) => new Set(before.has(id) ? [...before].filter((one) => one !== id) : [...before, id]),
    );
  return (
    <div className={styles.sentence} role="group" aria-label={messages.theBrief}>
      {sentenceOf(brief, own).map((line, at) => {
        const id = item(PHRASES, at);
        const open = all || opened.has(id);
        return (
          <Phrase
            key={id}
            name={messages.phrase[id]}
            open={open}
            fixed={all}
            told={open ? null : setByPerson(line, isUsual, brief, messages.phrase[id])}
            onTurn={() => turn(id)}
          >
            {line.map((stretch, index) =>
              typeof stretch === 'string' ? (
                <span key={index} className={/^[,;.]/.test(stretch) ? styles.tight : undefined}>
                  {stretch}{' '}
                </span>
              ) : (
                <WordControl
                  key={stretch.id}
                  word={stretch}
                  brief={brief}
                  editing={editing}
                  usual={isUsual(stretch)}
                />
              ),
            )}
          </Phrase>
        );
      })}
      <div className={`${styles.line ?? ''} ${styles.bag ?? ''}`}>
        <span>
          <KitWord brief={brief} owned={own.filters} usual={usual.has('filters')} editing={editing} />
        </span>
        <button
          type="button"
          className={styles.all}
          aria-pressed={all}
          onClick={() => setShown(all ? 'folded' : 'open')}
        >
          {messages.allWords}
        </button>
      </div>
    </div>
  );
});

const PHRASES = ['watched', 'ride', 'light'] as const;
type PhraseId = (typeof PHRASES)[number];

/** One phrase: folded it says what the person set, open it is the sentence. */
function Phrase({
  name,
  open,
  fixed,
  told,
  onTurn,
  children,
}: {
  name: string;
  open: boolean;
  /** All are open: it cannot be folded by itself. */
  fixed: boolean;
  told: string | null;
  onTurn: () => void;
  children: ReactNode;
}): ReactNode {
  if (fixed) return <div className={styles.line}>{children}</div>;
  return (
    <div className={styles.line}>
      <button
        type="button"
        className={styles.fold}
        aria-expanded={open}
        aria-label={told === null ? name : `${name}: ${told}`}
        onClick={onTurn}
      >
        {open ? <ChevronDown size={16} aria-hidden /> : <ChevronRight size={16} aria-hidden />}
        {told !== null && (
          <>
            <b>{name}</b> <span className={styles.told}>{told}</span>
          </>
        )}
      </button>
      {open && children}
    </div>
  );
}

/** What of a line is the person's: their words, each with the text that leads to it, without the name of the phrase. */
function setByPerson(
  line: readonly SentencePart[],
  isUsual: (word: Word) => boolean,
  brief: Brief,
  name: string,
): string {
  const said = line.flatMap((stretch, at) => {
    if (typeof stretch === 'string' || isUsual(stretch)) return [];
    const lead = line[at - 1];
    return [typeof lead === 'string' ? lead.trim() : '', valueText(stretch, brief)];
  });
  if (said.length === 0) return messages.allAsUsual;
  const text = said
    .join(' ')
    .replace(/ +(?=[,;.])/g, '')
    .replace(/^[,;. ]+/, '');
  return text.startsWith(`${name} `) ? text.slice(name.length + 1) : text;
}

function valueText(word: Word, brief: Brief): string {
  switch (word.kind) {
    case 'choice':
      return word.options.find(({ value }) => value === word.value(brief))?.label ?? word.value(brief);
    case 'number':
      // Degrees stand close.
      return `${trimmed(word.value(brief), 3)}${/^$|^°$/.test(word.unit) ? word.unit : `\u00a0${word.unit}`}`;
    case 'link':
      return word.text(brief);
  }
}

const USUAL = '__usual';

/** One function for good: the library's field puts back what it was given, over what is being typed, whenever it gets another. */
function asTyped(shown: unknown, { userTyping, input }: { userTyping: boolean; input: string }): string {
  return userTyping ? input : trimmed(Number(shown), 3);
}

function WordControl({
  word,
  brief,
  editing,
  usual,
}: {
  word: Word;
  brief: Brief;
  editing: ShotEditing;
  usual: boolean;
}): ReactNode {
  const router = useRouter();
  const label = `${word.name}${usual ? messages.usualValue : messages.setByYou}`;
  const className = `${styles.word ?? ''} ${usual ? (styles.usual ?? '') : (styles.mine ?? '')}`;
  const reset = (event: KeyboardEvent): void => {
    if (event.key !== 'Delete' || word.kind !== 'choice') return;
    event.preventDefault();
    editing.commit(messages.giveBack({ word: word.name.toLowerCase() }), (shot) =>
      word.set(shot, null, brief),
    );
  };
  if (word.kind === 'choice')
    return (
      <span className={className} onKeyDown={reset}>
        <Select
          aria-label={label}
          variant="borderless"
          showSearch={{ optionFilterProp: 'label' }}
          popupMatchSelectWidth={false}
          suffix={<span />}
          optionRender={({ label: shown, data }) => (
            <>
              {shown}
              {'hint' in data && <span className={styles.hint}>{data.hint}</span>}
            </>
          )}
          value={word.value(brief)}
          options={[...word.options, ...(usual ? [] : [{ value: USUAL, label: messages.backToTheUsual }])]}
          onSelect={(value) => {
            const panel = word.opens?.[value];
            if (panel !== undefined) {
              router.replace(panelUrl(window.location.search, panel));
              return;
            }
            editing.commit(messages.change({ word: word.name.toLowerCase() }), (shot) =>
              word.set(shot, value === USUAL ? null : value, brief),
            );
          }}
        />
      </span>
    );
  if (word.kind === 'link')
    return (
      <span className={className}>
        <PanelLink panel={word.panel} label={`${word.name}: ${word.text(brief)}`}>
          {word.text(brief)}
        </PanelLink>
      </span>
    );
  const value = word.value(brief);
  return (
    <span className={className}>
      <InputNumber
        aria-label={label}
        variant="borderless"
        controls={false}
        inputMode={word.min < 0 ? 'text' : 'decimal'}
        style={{ width: `${trimmed(value, 3).length + 0.35}ch` }}
        value={value}
        formatter={asTyped}
        min={word.min}
        max={word.max}
        step={word.step}
        onChange={(next) => {
          if (next === null || (next >= word.min && next <= word.max))
            editing.preview(messages.change({ word: word.name.toLowerCase() }), (shot) =>
              word.set(shot, next, brief),
            );
        }}
        onBlur={() => editing.commit(messages.change({ word: word.name.toLowerCase() }))}
        onPressEnter={() => editing.commit(messages.change({ word: word.name.toLowerCase() }))}
      />
      {word.unit !== '' && <span className={styles.unit}>{word.unit}</span>}
    </span>
  );
}
