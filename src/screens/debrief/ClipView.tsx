'use client';

import * as messages from '@/language/debrief';
import { Button, Input } from 'antd';
import { ArrowLeft } from 'lucide-react';
import { useState } from 'react';
import type { ReactNode } from 'react';
import { proposedVerdicts } from '@/core/inspect/verdicts';
import type { WorkedPart } from '@/core/day/workedDay';
import type { Verdict } from '@/core/vocabulary/verdicts';
import type { Clip } from '@/core/records/clip';
import { unreadText } from '@/words/findingText';
import { VERDICT_LABEL } from '@/words/labels';
import { useRepository } from '../data/repository';
import { Refused } from '../ui/Fields';
import { useTyped } from '../ui/useTyped';
import { toggled, VerdictButtons } from '../ui/VerdictButtons';
import { Curves } from './Curves';
import { LookAgain, ClipPlace } from './ClipList';
import styles from './debrief.module.css';
import { partOf } from './dayTakes';
import { Findings } from './Findings';
import { PlanBeside } from './PlanBeside';
import { clipName, whenText } from './shown';
import type { DebriefProps } from './shown';
import { SideBySide } from './SideBySide';
import { Strip } from './Strip';

/** One clip: its pictures and curves on one time, what was found, and the plan beside what was measured. */
export function ClipView({ clip, ...props }: DebriefProps & { clip: Clip }): ReactNode {
  const { worked, zone, onChoose, onMove, onLook } = props;
  const [atSeconds, setAt] = useState<number | null>(null);
  const { measured, frames, curves } = clip;
  const { durationSeconds } = measured.container;
  const part = partOf(worked, clip);
  return (
    <article className={styles.one} aria-label={clipName(clip)}>
      <div className={styles.oneHead}>
        <Button
          type="text"
          size="large"
          icon={<ArrowLeft size={18} aria-hidden />}
          onClick={() => onChoose(null)}
        >
          {messages.allClips}
        </Button>
        <h2>{clipName(clip)}</h2>
        <span className="numerals quiet">{whenText(clip, zone)}</span>
        <ClipPlace clip={clip} worked={worked} onMove={onMove} />
        <LookAgain clip={clip} onLook={onLook} />
      </div>
      {measured.unread !== null && <p role="note">{unreadText(measured)}</p>}
      {frames.length > 0 && (
        <Strip
          frames={frames}
          findings={measured.findings}
          durationSeconds={durationSeconds}
          atSeconds={atSeconds}
          onAt={setAt}
        />
      )}
      {curves && (
        <Curves
          curves={curves}
          durationSeconds={durationSeconds}
          findings={measured.findings}
          atSeconds={atSeconds}
          onAt={setAt}
        />
      )}
      <div className={styles.columns}>
        <Findings clip={clip} part={part} onAt={setAt} />
        <PlanBeside clip={clip} part={part} clips={props.clips} worked={worked} />
      </div>
      <SideBySide key={clip.id} clip={clip} clips={props.clips} />
      <Verdicts clip={clip} part={part} />
    </article>
  );
}

/** The verdict that the findings propose, taken with a press, or set by hand; and a note. */
function Verdicts({ clip, part }: { clip: Clip; part: WorkedPart | undefined }): ReactNode {
  const mount = part?.brief.mount ?? null;
  const repository = useRepository();
  const { typed, type, leave, give, refused } = useTyped<string>();
  const proposed = clip.looked === 'file' ? [] : proposedVerdicts(clip.measured, mount);
  const set = (verdicts: (before: readonly Verdict[]) => Verdict[]): void =>
    void repository?.changeClip(clip.id, messages.changeAVerdict, (before) => ({
      ...before,
      verdicts: verdicts(before.verdicts),
    }));
  const open = proposed.some((one) => !clip.verdicts.includes(one)) && clip.verdicts.length === 0;
  return (
    <section aria-label={messages.verdict} className={styles.judged}>
      <h3>{messages.verdict}</h3>
      {open && (
        <p>
          {messages.proposed({ verdicts: proposed.map((one) => VERDICT_LABEL[one]).join(', ') })}{' '}
          <Button onClick={() => set(() => proposed)}>{messages.takeThat}</Button>
        </p>
      )}
      <VerdictButtons
        label={messages.verdict}
        verdicts={clip.verdicts}
        onToggle={(verdict) => set((before) => toggled(before, verdict))}
      />
      <Input.TextArea
        aria-label={messages.note}
        placeholder={messages.note}
        autoSize={{ minRows: 1, maxRows: 6 }}
        maxLength={2000}
        value={typed ?? clip.note}
        onChange={(event) => type(event.target.value)}
        onBlur={() => {
          if (typed === undefined || typed === clip.note) leave();
          else
            give(() =>
              repository?.changeClip(clip.id, messages.noteAClip, (before) => ({ ...before, note: typed })),
            );
        }}
      />
      <Refused why={refused} />
      <Button type="text" danger onClick={() => void repository?.removeClip(clip.id)}>
        {messages.removeThisClip}
      </Button>
    </section>
  );
}
