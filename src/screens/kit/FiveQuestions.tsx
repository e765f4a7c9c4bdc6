'use client';

import * as messages from '@/language/kit';
import { Button, Checkbox, Input, InputNumber, Select } from 'antd';
import Link from 'next/link';
import { useId, useState } from 'react';
import type { ReactNode } from 'react';
import {
  cameraFromFive,
  unanswered,
  USUAL_RATES,
  USUAL_SIZES,
  USUAL_VIEWS,
} from '@/core/camera/fiveQuestions';
import type { FiveAnswers, Hold } from '@/core/camera/fiveQuestions';
import { LONGEST_THING_NAME } from '@/core/records/names';
import { CODECS, STABILIZATIONS } from '@/core/vocabulary/modes';
import { CODEC_LABEL, STABILIZATION_LABEL, viewLabel } from '@/words/labels';
import { useRepository } from '../data/repository';
import styles from './five.module.css';
import kit from './kit.module.css';

const HOLDS = STABILIZATIONS.filter((one): one is Hold => one !== 'off');

/** A line of an answer: whether the camera has it, and the one figure that goes with it. */
interface Line<T> {
  on: boolean;
  value: T;
}
type Lines<T> = readonly Line<T>[];

const FIRST = {
  sizes: USUAL_SIZES.map((value) => ({ on: value.id === '4K' || value.id === '1080p', value })),
  views: USUAL_VIEWS.map((value) => ({ on: value.id === 'wide', value })),
  holds: HOLDS.map((value) => ({ on: value === 'standard', value })),
  codecs: CODECS.map((codec) => ({
    on: codec === 'avc',
    value: { codec, tenBit: false, bitRateMbps: 60 },
  })),
};

const told = <T,>(lines: Lines<T>): T[] => lines.filter(({ on }) => on).map(({ value }) => value);
const changed = <T,>(lines: Lines<T>, at: number, change: Partial<Line<T>>): Line<T>[] =>
  lines.map((line, index) => (index === at ? { ...line, ...change } : line));

/** A camera that is like none of the usual: five questions make its table of modes, all else is as usual. */
export function FiveQuestions({ onMade }: { onMade: (id: string) => void }): ReactNode {
  const repository = useRepository();
  const nameId = useId();
  const [name, setName] = useState('');
  const [sizes, setSizes] = useState<Lines<FiveAnswers['sizes'][number]>>(FIRST.sizes);
  const [views, setViews] = useState<Lines<FiveAnswers['views'][number]>>(FIRST.views);
  const [holds, setHolds] = useState<Lines<Hold>>(FIRST.holds);
  const [codecs, setCodecs] = useState<Lines<FiveAnswers['codecs'][number]>>(FIRST.codecs);
  const answers: FiveAnswers = {
    sizes: told(sizes),
    views: told(views),
    holds: told(holds),
    codecs: told(codecs),
  };
  const called = name.trim();
  const missing = [
    ...(called === '' ? [messages.fiveMissing.name] : []),
    ...unanswered(answers).map((key) => messages.fiveMissing[key]),
  ];
  const make = (): void =>
    void repository
      ?.addKit(
        (id) => ({ what: 'camera', profile: cameraFromFive(id, called, answers) }),
        messages.addACamera,
      )
      .then(onMade);
  return (
    <article className={styles.five} aria-labelledby="five-title">
      <Link href="/kit" className={kit.back}>
        {messages.allThingsInTheKit}
      </Link>
      <h2 id="five-title">{messages.aCameraFromFive}</h2>
      <div>
        <label htmlFor={nameId}>{messages.name}</label>
        <Input
          id={nameId}
          autoFocus
          value={name}
          maxLength={LONGEST_THING_NAME}
          onChange={(event) => setName(event.target.value)}
        />
      </div>
      <Question title={messages.fiveSizes}>
        {sizes.map(({ on, value }, at) => (
          <li key={value.id}>
            <Checkbox
              checked={on}
              onChange={({ target }) => setSizes(changed(sizes, at, { on: target.checked }))}
            >
              {value.id} <span className="quiet numerals">{`${value.width}×${value.height}`}</span>
            </Checkbox>
            {on && (
              <Select
                aria-label={messages.fastestIn({ size: value.id })}
                value={value.fastestFps}
                options={USUAL_RATES.map((fps) => ({ value: fps, label: messages.upToFps({ fps }) }))}
                onChange={(fastestFps: number) =>
                  setSizes(changed(sizes, at, { value: { ...value, fastestFps } }))
                }
              />
            )}
          </li>
        ))}
      </Question>
      <Question title={messages.fiveViews}>
        {views.map(({ on, value }, at) => (
          <li key={value.id}>
            <Checkbox
              checked={on}
              onChange={({ target }) => setViews(changed(views, at, { on: target.checked }))}
            >
              {viewLabel(value.id)}
            </Checkbox>
            {on && (
              <InputNumber
                aria-label={messages.acrossOf({ view: viewLabel(value.id) })}
                suffix="°"
                inputMode="decimal"
                min={2}
                max={179}
                value={value.horizontalDeg}
                onChange={(horizontalDeg) => {
                  if (horizontalDeg !== null)
                    setViews(changed(views, at, { value: { ...value, horizontalDeg } }));
                }}
              />
            )}
          </li>
        ))}
      </Question>
      <Question title={messages.fiveHolds}>
        {holds.map(({ on, value }, at) => (
          <li key={value}>
            <Checkbox
              checked={on}
              onChange={({ target }) => setHolds(changed(holds, at, { on: target.checked }))}
            >
              {STABILIZATION_LABEL[value]}
            </Checkbox>
          </li>
        ))}
      </Question>
      <Question title={messages.fiveCodecs}>
        {codecs.map(({ on, value }, at) => (
          <li key={value.codec}>
            <Checkbox
              checked={on}
              onChange={({ target }) => setCodecs(changed(codecs, at, { on: target.checked }))}
            >
              {CODEC_LABEL[value.codec]}
            </Checkbox>
            {on && (
              <>
                <InputNumber
                  aria-label={messages.rateOf({ codec: CODEC_LABEL[value.codec] })}
                  suffix={messages.unitMbitS}
                  inputMode="decimal"
                  min={1}
                  max={2000}
                  value={value.bitRateMbps}
                  onChange={(bitRateMbps) => {
                    if (bitRateMbps !== null)
                      setCodecs(changed(codecs, at, { value: { ...value, bitRateMbps } }));
                  }}
                />
                <Checkbox
                  checked={value.tenBit}
                  onChange={({ target }) =>
                    setCodecs(changed(codecs, at, { value: { ...value, tenBit: target.checked } }))
                  }
                >
                  {messages.tenBit}
                </Checkbox>
              </>
            )}
          </li>
        ))}
      </Question>
      <p className="quiet">{messages.fiveRest}</p>
      <div className={styles.make}>
        <Button type="primary" disabled={missing.length > 0} onClick={make}>
          {messages.makeTheCamera}
        </Button>
        {missing.length > 0 && <p role="status">{messages.fiveWants({ missing: missing.join(', ') })}</p>}
      </div>
    </article>
  );
}

function Question({ title, children }: { title: string; children: ReactNode }): ReactNode {
  return (
    <fieldset className={styles.question}>
      <legend>{title}</legend>
      <ul>{children}</ul>
    </fieldset>
  );
}
