'use client';

import { shotName } from '@/words/shotName';
import * as messages from '@/language/shell';
import { Modal } from 'antd';
import { Command } from 'cmdk';
import { useRouter } from 'next/navigation';
import { useRef, useState } from 'react';
import type { ReactNode } from 'react';
import { useShots } from '../data/repository';
import { dayText } from '@/words/lightText';
import { useOutings } from '../data/outings';
import { outingUrl, placeUrl, PLACES, reasonsUrl } from '../routes';
import { FORMULA_IDS, FORMULAS } from '@/core/explain/formulas';
import { REASON_PAGES } from '@/core/vocabulary/reasonPages';
import { FORMULA_NAME } from '@/words/formulaText';
import { PAGE_TITLE } from '@/words/reasonTitles';
import { WORDS } from '@/core/vocabulary/words';
import { WORD_LABEL } from '@/words/wordText';
import { showMeaning } from '../ui/meaning';
import { useActions, useOverlay } from './actions';
import styles from './shell.module.css';

/** More than this of a kind is not looked through: a letter more is typed. */
const MOST_OFFERED = 50;

/** Type where to go: a place, a shot, or an action. */
export function GoAnywhere(): ReactNode {
  const router = useRouter();
  const shots = useShots() ?? [];
  const outings = useOutings() ?? [];
  const { exportAll, importFile, loadDemo, eraseEverything, showKeys } = useActions();
  const input = useRef<HTMLInputElement>(null);
  const [wanted, setWanted] = useState('');
  const named = (name: string): boolean => name.toLowerCase().includes(wanted.trim().toLowerCase());
  const close = (): void => useOverlay.setState({ palette: false });
  const go = (url: string) => (): void => {
    close();
    router.push(url);
  };
  const then = (action: () => void) => (): void => {
    close();
    action();
  };
  return (
    <Modal
      open
      title={messages.goAnywhereTitle}
      onCancel={close}
      footer={null}
      afterOpenChange={(opened) => {
        if (opened) input.current?.focus();
      }}
    >
      <Command label={messages.goAnywhereTitle} className={styles.palette ?? ''}>
        <Command.Input
          ref={input}
          value={wanted}
          onValueChange={setWanted}
          placeholder={messages.aPlaceAShotOr}
        />
        <Command.List>
          <Command.Empty>{messages.nothingOfThatName}</Command.Empty>
          <Command.Item onSelect={go('/?new=1')}>{messages.newShotTitle}</Command.Item>
          {PLACES.map(({ path, label }) => (
            <Command.Item key={path} onSelect={go(path)}>
              {label}
            </Command.Item>
          ))}
          {outings
            .filter(({ name }) => named(name))
            .slice(0, MOST_OFFERED)
            .flatMap(({ id, name, days }) =>
              days.map((day) => (
                <Command.Item
                  key={`${id} ${day.id}`}
                  value={`${name} ${day.date} ${id}`}
                  onSelect={go(outingUrl('/outing', id, day.id))}
                >
                  {name}, {dayText(day.date)}
                </Command.Item>
              )),
            )}
          <Command.Item onSelect={go('/kit?item=worth')}>{messages.whatToGet}</Command.Item>
          <Command.Item onSelect={go('/kit?item=learned')}>{messages.learnedFigures}</Command.Item>
          <Command.Item onSelect={go('/handover')}>{messages.handOver}</Command.Item>
          <Command.Item onSelect={go('/handover?part=take')}>{messages.takeOver}</Command.Item>
          <Command.Item onSelect={go('/instrument')}>{messages.measure}</Command.Item>
          <Command.Item onSelect={go('/camera')}>{messages.standInCamera}</Command.Item>
          {shots
            .filter(({ shot }) => named(shotName(shot)))
            .slice(0, MOST_OFFERED)
            .map(({ id, shot }) => (
              <Command.Item key={id} value={`${shotName(shot)} ${id}`} onSelect={go(placeUrl('/bench', id))}>
                {shotName(shot)}
              </Command.Item>
            ))}
          {REASON_PAGES.map((page) => (
            <Command.Item key={page} onSelect={go(reasonsUrl(page, null, null))}>
              {messages.reasonsOn({ title: PAGE_TITLE[page] })}
            </Command.Item>
          ))}
          {FORMULA_IDS.map((id) => (
            <Command.Item key={id} onSelect={go(`${reasonsUrl(FORMULAS[id].page, null, null)}#${id}`)}>
              {messages.reasonsOn({ title: FORMULA_NAME[id] })}
            </Command.Item>
          ))}
          {WORDS.map((word) => (
            <Command.Item key={word} onSelect={then(() => showMeaning(word, null))}>
              {messages.meaningOf({ word: WORD_LABEL[word] })}
            </Command.Item>
          ))}
          <Command.Item onSelect={then(exportAll)}>{messages.exportEverything}</Command.Item>
          <Command.Item onSelect={then(importFile)}>{messages.importAFile}</Command.Item>
          <Command.Item onSelect={then(loadDemo)}>{messages.loadTheDemo}</Command.Item>
          <Command.Item onSelect={then(eraseEverything)}>{messages.eraseEverything}</Command.Item>
          <Command.Item onSelect={then(showKeys)}>{messages.keys}</Command.Item>
        </Command.List>
      </Command>
    </Modal>
  );
}
