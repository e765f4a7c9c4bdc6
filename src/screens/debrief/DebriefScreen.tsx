'use client';

import * as messages from '@/language/debrief';
import { Button, Progress } from 'antd';
import { FolderOpen } from 'lucide-react';
import Link from 'next/link';
import { useRouter, useSearchParams } from 'next/navigation';
import { useCallback, useEffect, useState } from 'react';
import type { ReactNode } from 'react';
import type { Clip } from '@/core/records/clip';
import type { Outing } from '@/core/records/outing';
import { dayText } from '@/words/lightText';
import { useClippedDays, useClips } from '../data/clips';
import { lastDayOf, openDayOf, useOutings } from '../data/outings';
import { useRepository, useShots } from '../data/repository';
import { useWorkedDay } from '../data/workedDay';
import type { OpenDay } from '../data/workedDay';
import { CLIP_FILES } from '../files/clipFiles';
import { useIncoming } from '../files/incoming';
import { pickFiles } from '../files/pickFile';
import { outingUrl, useOutingAddress } from '../routes';
import { OutingHead } from '../ui/OutingHead';
import { Empty } from '../ui/Empty';
import { useClipFiles } from './clipFiles';
import { ClipList } from './ClipList';
import { ClipRibbon } from './ClipRibbon';
import { ClipView } from './ClipView';
import styles from './debrief.module.css';
import { Evening } from './Evening';
import { Refusals } from './Refusals';
import { drawSampleClips, samplesOf } from './sampleClips';
import { lookAtAll, moveClip, takeClips } from './takingClips';

/** Debrief: what came back of a day, each clip under its shot and beside its plan. */
export function DebriefScreen(): ReactNode {
  const outings = useOutings();
  const shots = useShots();
  const { outingId, dayId } = useOutingAddress();
  if (!outings || !shots) return null;
  const open =
    outingId === null
      ? (lastDayOf(outings) ?? openDayOf(outings, null, null))
      : openDayOf(outings, outingId, dayId);
  if (!open)
    return (
      <Empty title={messages.noOutingYet} text={messages.clipsAreHeldAgainst}>
        <Link href="/outing">{messages.toTheOuting}</Link>
      </Empty>
    );
  return <DayPlace key={`${open.outing.id} ${open.day.id}`} outings={outings} shots={shots} {...open} />;
}

function DayPlace({ outings, ...open }: OpenDay & { outings: readonly Outing[] }): ReactNode {
  const { outing, day } = open;
  const repository = useRepository();
  const router = useRouter();
  const clips = useClips(outing.id, day.id);
  const { day: worked, failed, working } = useWorkedDay(open);
  const chosenId = useSearchParams().get('clip');
  const dropped = useIncoming((state) => state.clips);
  const taken = useIncoming((state) => state.clipsTaken);
  const ready = repository !== null && clips !== undefined && !working;
  const take = useCallback(
    (files: readonly File[]): void => {
      if (repository && clips) void takeClips(files, { repository, outing, day, worked, kept: clips });
    },
    [repository, outing, day, worked, clips],
  );
  const draw = (): void => {
    if (repository && clips) void drawSampleClips({ repository, outing, day, worked, kept: clips });
  };
  useEffect(() => {
    if (!ready || dropped.length === 0) return;
    taken();
    take(dropped);
  }, [ready, dropped, taken, take]);
  if (!clips || !repository) return null;
  const chosen = clips.find(({ id }) => id === chosenId) ?? null;
  const choose = (clipId: string | null): void =>
    router.push(outingUrl('/debrief', outing.id, day.id, clipId === null ? {} : { clip: clipId }), {
      scroll: false,
    });
  const props = {
    clips,
    worked,
    zone: outing.zone,
    onChoose: choose,
    onMove: (clip: Clip, to: { entryId: string; part: number } | null) =>
      void moveClip(clip, to, { repository, worked }),
    onLook: (clip: Clip, how: 'quick' | 'whole') => void lookAtAll([clip], how, { repository, worked }),
  };
  return (
    <div className={styles.debrief}>
      <OutingHead title={messages.debrief} place="/debrief" outings={outings} outing={outing} day={day}>
        {outing.demo && <DrawClips outing={outing} day={day} ready={ready} onDraw={draw} />}
        <Button
          type={clips.length === 0 ? 'primary' : 'default'}
          icon={<FolderOpen size={18} aria-hidden />}
          disabled={!ready}
          onClick={() => pickFiles(CLIP_FILES, take)}
        >
          {messages.takeInClips}
        </Button>
      </OutingHead>
      {failed !== null && <p role="alert">{messages.thisDayCouldNotBe({ failed })}</p>}
      <Refusals />
      {chosen ? (
        <ClipView {...props} clip={chosen} />
      ) : (
        <>
          <ClipRibbon {...props} />
          {clips.length === 0 ? (
            <div className={styles.drop}>
              <p>{messages.dropTheDaysClips}</p>
              <OtherClips outings={outings} open={day.id} />
            </div>
          ) : (
            <ClipList {...props} />
          )}
          <Evening outing={outing} day={day} worked={worked} />
        </>
      )}
    </div>
  );
}

/** The made-up outing has its clips drawn here, in place of a card from a camera. */
function DrawClips({
  outing,
  day,
  ready,
  onDraw,
}: Pick<OpenDay, 'outing' | 'day'> & { ready: boolean; onDraw: () => void }): ReactNode {
  const [has, setHas] = useState(false);
  useEffect(() => {
    let wanted = true;
    void samplesOf(outing, day)
      .catch(() => [])
      .then(({ length }) => {
        if (wanted) setHas(length > 0);
      });
    return () => {
      wanted = false;
    };
  }, [outing, day]);
  const filming = useClipFiles((state) => state.filming);
  if (!has) return null;
  if (!filming)
    return (
      <Button disabled={!ready} onClick={onDraw}>
        {messages.drawItsClips}
      </Button>
    );
  const { number, of, share, stop } = filming;
  const text = messages.drawingClips({ number, of });
  return (
    <span className={styles.look}>
      <span className="quiet">{text}</span>
      <Progress percent={Math.round(100 * share)} size="small" aria-label={text} />
      <Button onClick={stop}>{messages.stop}</Button>
    </span>
  );
}

/** Days of other outings that clips came back from. */
function OtherClips({ outings, open }: { outings: readonly Outing[]; open: string }): ReactNode {
  const clipped = useClippedDays();
  const days = outings.flatMap((outing) =>
    outing.days
      .filter(({ id }) => id !== open && clipped?.has(id))
      .map((day) => ({ outing, day, url: outingUrl('/debrief', outing.id, day.id) })),
  );
  if (days.length === 0) return null;
  return (
    <p>
      {messages.clipsOfAnotherOuting}{' '}
      {days.map(({ outing, day, url }) => (
        <Link key={day.id} href={url}>
          {outing.name}, {dayText(day.date)}
        </Link>
      ))}
    </p>
  );
}
