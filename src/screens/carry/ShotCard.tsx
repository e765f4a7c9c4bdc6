'use client';

import { namedPart, shotName } from '@/words/shotName';
import * as messages from '@/language/carry';
import { Button, Checkbox } from 'antd';
import { ChevronLeft, ChevronRight } from 'lucide-react';
import Link from 'next/link';
import { useRouter } from 'next/navigation';
import { useMemo } from 'react';
import type { ReactNode } from 'react';
import { useHotkeys } from 'react-hotkeys-hook';
import type { ShotRecord } from '@/core/records/shotRecord';
import { checksFor } from '@/words/card';
import type { Check } from '@/words/card';
import { ACTIVITY_LABEL, MOUNT_LABEL, SCHOOL_LABEL } from '@/words/labels';
import { pairCardLines } from '@/words/pairText';
import { Empty } from '../ui/Empty';
import { MoreMenu } from '../ui/MoreMenu';
import { usePreference, useRepository, useLog } from '../data/repository';
import { OpenShot } from '../ui/OpenShot';
import { PartSwitch } from '../ui/PartSwitch';
import { placeUrl, usePart } from '../routes';
import { useToast } from '../ui/toast';
import { solvedSettings, useAnswer } from '../data/useAnswer';
import { useShotActions } from '../files/useShotActions';
import { GlareButton } from '../ui/GlareButton';
import { useSwipe } from '../ui/useSwipe';
import styles from './carry.module.css';
import { CardFace } from './CardFace';
import { TestClip } from './TestClip';
import { useTestChange } from './useTestChange';

/** A shot that stands in no plan as a card, to read with cold hands and to print. */
export function ShotCards(): ReactNode {
  return (
    <OpenShot place="/carry">
      {(record, shots) => <Card key={record.id} record={record} order={shots.map(({ id }) => id)} />}
    </OpenShot>
  );
}

function Card({ record, order }: { record: ShotRecord; order: readonly string[] }): ReactNode {
  const part = usePart(record.shot);
  const shot = useMemo(() => namedPart(record.shot, part), [record.shot, part]);
  const solved = useAnswer(shot);
  const { solution, brief, refusal, lapse } = solved;
  const settings = solvedSettings(solved);
  const joins = useMemo(() => pairCardLines(record.shot), [record.shot]);
  const repository = useRepository();
  const router = useRouter();
  const { say } = useToast();
  const [notation] = usePreference('filterNotation');
  const recorded = useLog()?.filter(({ shotId }) => shotId === record.id) ?? [];
  const actions = useShotActions(record, solved);

  const takeChange = useTestChange(record.id, part);

  const at = order.indexOf(record.id);
  const go = (by: number): void => {
    const next = order[at + by];
    if (next !== undefined) router.push(placeUrl('/carry', next));
  };
  const swipe = useSwipe(go);
  const print = (): void => window.print();
  const note = (): void => {
    if (!settings) return;
    void repository?.record(record.id, settings, part).then(() => {
      say(messages.recordedItStandsInThe);
    });
  };
  useHotkeys('p', print);
  useHotkeys('r', note);
  useHotkeys('right', () => go(1));
  useHotkeys('left', () => go(-1));

  if (!settings)
    return (
      <Empty title={shotName(shot)} text={(refusal?.reasons ?? []).map(({ text }) => text).join('; ')}>
        <Link href={placeUrl('/bench', record.id, part)}>{messages.mendItOnTheBench}</Link>
      </Empty>
    );
  return (
    <article className={styles.card} aria-labelledby="card-title" {...swipe}>
      <header className={styles.head}>
        <h1 id="card-title">{shotName(shot)}</h1>
        <PartSwitch shot={record.shot} id={record.id} place="/carry" part={part} />
        <div className={styles.tools}>
          <Button
            type="text"
            disabled={at <= 0}
            onClick={() => go(-1)}
            aria-label={messages.previousShot}
            icon={<ChevronLeft size={22} aria-hidden />}
          />
          <Button
            type="text"
            disabled={at < 0 || at >= order.length - 1}
            onClick={() => go(1)}
            aria-label={messages.nextShot}
            icon={<ChevronRight size={22} aria-hidden />}
          />
          <GlareButton />
          <Button onClick={print}>{messages.print}</Button>
          <MoreMenu label={messages.moreForThisShot} items={actions} />
        </div>
        <p className="quiet">
          {brief.camera.name}, {MOUNT_LABEL[brief.mount.kind]}, {ACTIVITY_LABEL[brief.mount.activity]} ·{' '}
          {SCHOOL_LABEL[brief.look.school]}
        </p>
        {joins.map((line) => (
          <p key={line}>{line}</p>
        ))}
      </header>
      <CardFace
        settings={settings}
        solution={solution}
        lapse={lapse && { answer: lapse, brief }}
        kit={brief.filters}
        notation={notation}
      />
      <TestClip brief={brief} settings={settings} onTake={takeChange} />
      <Checks record={record} checks={checksFor(brief, settings)} />
      <div className={styles.record}>
        <Button type="primary" size="large" onClick={note}>
          {messages.recorded}
        </Button>
        <p>
          {recorded.length === 0
            ? messages.notRecordedYet
            : messages.recordedOnce({ count: recorded.length })}{' '}
          {recorded.length > 0 && <Link href={placeUrl('/log', record.id)}>{messages.toTheLog}</Link>}
        </p>
      </div>
    </article>
  );
}

/** What to look at before the run, each kept as soon as it is ticked. */
function Checks({ record, checks }: { record: ShotRecord; checks: readonly Check[] }): ReactNode {
  const repository = useRepository();
  return (
    <section aria-labelledby="checks-title" className={styles.checks}>
      <h2 id="checks-title">{messages.beforeTheRun}</h2>
      <ul>
        {checks.map(({ id, text }) => (
          <li key={id}>
            <Checkbox
              checked={record.ticked.includes(id)}
              onChange={(event) => void repository?.tick(record.id, id, event.target.checked)}
            >
              {text}
            </Checkbox>
          </li>
        ))}
      </ul>
    </section>
  );
}
