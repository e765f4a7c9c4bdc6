'use client';

import * as messages from '@/language/debrief';
import { Button } from 'antd';
import { useRouter } from 'next/navigation';
import type { ReactNode } from 'react';
import type { WorkedPart } from '@/core/day/workedDay';
import { soundAdvice } from '@/core/answer/soundAdvice';
import { PAGE_OF_FINDING } from '@/core/vocabulary/findings';
import { nextTime } from '@/core/inspect/nextTime';
import type { Clip } from '@/core/records/clip';
import type { Found } from '@/core/records/clipReport';
import { LONGEST_NAME } from '@/core/records/names';
import { FINDING_LABEL } from '@/words/findingLabel';
import { findingText } from '@/words/findingText';
import { soundText } from '@/words/soundText';
import { namedPart, shotName } from '@/words/shotName';
import { useRepository } from '../data/repository';
import { placeUrl } from '../routes';
import { useToast } from '../ui/toast';
import { WhyLink } from '../ui/WhyLink';
import styles from './debrief.module.css';
import { nearestFrame } from './Strip';

/** What was found, the worst first: each with its picture and figure, and the one change that a next time would take. */
export function Findings({
  clip,
  part,
  onAt,
}: {
  clip: Clip;
  part: WorkedPart | undefined;
  onAt: (seconds: number) => void;
}): ReactNode {
  const { findings } = clip.measured;
  return (
    <section aria-label={messages.findings} className={styles.findings}>
      <h3>{messages.findings}</h3>
      {clip.looked === 'file' && <p className="quiet">{messages.onlyTheFile}</p>}
      {clip.looked !== 'file' && findings.length === 0 && <p>{messages.nothingAgainstIt}</p>}
      <ol>
        {findings.map((finding) => (
          <Finding key={finding.code} finding={finding} clip={clip} part={part} onAt={onAt} />
        ))}
      </ol>
    </section>
  );
}

/** Of what can be heard in sound: what is done for speech, where the shot wanted it. */
function OfSpeech({ code, part }: { code: Found['code']; part: WorkedPart | undefined }): ReactNode {
  if (!part || (code !== 'wind' && code !== 'silent' && code !== 'clippedSound')) return null;
  const advice = soundAdvice(part.brief);
  if (advice.length === 0) return null;
  return <p>{messages.speechWasWanted({ advice: advice.map(soundText).join(' ') })}</p>;
}

function Finding({
  finding,
  clip,
  part,
  onAt,
}: {
  finding: Found;
  clip: Clip;
  part: WorkedPart | undefined;
  onAt: (seconds: number) => void;
}): ReactNode {
  const repository = useRepository();
  const router = useRouter();
  const { say } = useToast();
  const { code, atSeconds, change } = finding;
  const filmed = clip.filmed && part ? { settings: clip.filmed, filters: part.brief.filters } : null;
  const picture = nearestFrame(clip.frames, atSeconds ?? clip.measured.container.durationSeconds / 2);
  const take = (): void => {
    if (!repository || !part || !change) return;
    const shot = namedPart(part.shot, 0);
    const name = messages.nextTime({ name: shotName(shot) }).slice(0, LONGEST_NAME);
    void repository.addShot(nextTime(shot, name, change), messages.takeAChange).then((id) => {
      say(messages.tookIntoANewShot({ name }));
      router.push(placeUrl('/bench', id));
    });
  };
  return (
    <li className={styles.finding}>
      {picture && (
        // A picture of the person's own, at hand already.
        <img src={picture.jpeg} alt="" width={96} />
      )}
      <div>
        <b>{FINDING_LABEL[code]}</b> <WhyLink page={PAGE_OF_FINDING[code]} shotId={part?.shotId} />
        <p>{findingText(finding, clip.measured.pictures, filmed)}</p>
        <OfSpeech code={code} part={part} />
        <p className={styles.presses}>
          {change && part && (
            <Button
              onClick={take}
              aria-label={messages.takeTheChangeAgainst({ finding: FINDING_LABEL[code] })}
            >
              {messages.takeIntoANewShot}
            </Button>
          )}
          {atSeconds !== null && (
            <Button type="text" onClick={() => onAt(atSeconds)}>
              {messages.showTheMoment}
            </Button>
          )}
        </p>
      </div>
    </li>
  );
}
