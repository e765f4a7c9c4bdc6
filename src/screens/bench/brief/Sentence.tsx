'use client';

import * as messages from '@/language/bench/brief';
import { InputNumber, Select } from 'antd';
import { useRouter } from 'next/navigation';
import { memo } from 'react';
import type { KeyboardEvent, ReactNode } from 'react';
import type { Assumed, Brief } from '@/core/brief/brief';
import { trimmed } from '@/core/units/format';
import type { ShotEditing } from '../../data/useShotEditing';
import styles from './sentence.module.css';
import { KitWord } from './KitWord';
import { useOwnThings } from '../../data/kit';
import { useAfterPaint } from '../../ui/useAfterPaint';
import { useSunHere } from '../panels/light/useSunHere';
import { PanelLink, panelUrl } from './PanelLink';
import { sentenceOf } from './words';
import type { Word } from './wordControls';

/** The brief as sentences whose words are controls. A solid rule under a word: you set it; a dotted one: the usual. */
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
  const usual = new Set(assumed.map(({ path }) => path));
  return (
    <div className={styles.sentence} role="group" aria-label={messages.theBrief}>
      {sentenceOf(brief, own).map((line, at) => (
        <div key={at} className={styles.line}>
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
                usual={usual.has(stretch.path) || usual.has(stretch.path.split('.')[0] ?? '')}
              />
            ),
          )}
          {at === 2 && (
            <KitWord brief={brief} owned={own.filters} usual={usual.has('filters')} editing={editing} />
          )}
        </div>
      ))}
    </div>
  );
});

const USUAL = '__usual';

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
        style={{ width: `${trimmed(value, 3).length + 0.35}ch` }}
        value={value}
        formatter={(shown, { userTyping, input }) => (userTyping ? input : trimmed(Number(shown), 3))}
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
