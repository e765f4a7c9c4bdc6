'use client';

import * as messages from '@/language/log';
import { Button, Input, Select } from 'antd';
import Link from 'next/link';
import type { ReactNode } from 'react';
import type { Recording } from '@/core/inspect/logbook';
import { CUT_REASONS } from '@/core/vocabulary/verdicts';
import type { LogEntry } from '@/core/records/logEntry';
import type { CutReason } from '@/core/vocabulary/verdicts';
import { trimmed } from '@/core/units/format';
import { CARD_KEYS } from '@/words/cardKeys';
import { CUT_LABEL } from '@/words/labels';
import { clockText, dateText } from '@/words/lightText';
import { durationText } from '@/words/settingText';
import { useRepository } from '../data/repository';
import { placeUrl } from '../routes';
import { Refused } from '../ui/Fields';
import type { RowProps } from '../ui/listProps';
import { SettingStrip } from '../ui/SettingStrip';
import { useTyped } from '../ui/useTyped';
import { toggled, VerdictButtons } from '../ui/VerdictButtons';
import { CameBack } from './CameBack';
import styles from './log.module.css';

/** One recording: when, its settings as they were, what came back of it, and the verdict. */
export function RecordingRow({
  recording: { entry, clips, atMs, shotId },
  name,
  zone,
  kept,
  on,
}: {
  recording: Recording;
  name: string;
  zone: string;
  /** Its shot can be gone to. */
  kept: boolean;
  on: RowProps;
}): ReactNode {
  const repository = useRepository();
  return (
    <li className={styles.entry} {...on}>
      <div className={styles.what}>
        <h2>{kept ? <Link href={placeUrl('/bench', shotId)}>{name}</Link> : name}</h2>
        <time dateTime={new Date(atMs).toISOString()} className="numerals">
          {dateText(atMs, zone)}, {clockText(atMs, zone)}
        </time>
        {entry && (
          <Button
            type="text"
            danger
            onClick={() => void repository?.removeEntry(entry.id)}
            aria-label={messages.removeTheRecordingOf({ shotName: name })}
          >
            {messages.remove}
          </Button>
        )}
      </div>
      {entry?.clip && (
        <p className="numerals">
          {messages.fileAndSeconds({
            file: entry.clip.file,
            seconds: durationText(entry.clip.seconds),
            gigabytes: trimmed(entry.clip.gigabytes, 2),
          })}
        </p>
      )}
      {entry && <SettingStrip keys={CARD_KEYS} settings={entry.settings} kit={entry.shot.filters ?? []} />}
      {clips.length > 0 && <CameBack clips={clips} zone={zone} />}
      {entry && <Judged entry={entry} />}
    </li>
  );
}

/** The verdict on a recording, why it was cut off, and a note. */
function Judged({ entry }: { entry: LogEntry }): ReactNode {
  const repository = useRepository();
  const { typed, type, leave, give, refused } = useTyped<string>();
  return (
    <>
      <VerdictButtons
        label={messages.verdictOn({ shotName: entry.shotName })}
        verdicts={entry.verdicts}
        onToggle={(verdict) => {
          // Taken as it was seen, put on what is kept by then.
          const off = entry.verdicts.includes(verdict);
          void repository?.judge(entry.id, {
            verdicts: (before) => (before.includes(verdict) === off ? toggled(before, verdict) : [...before]),
          });
        }}
      >
        {entry.verdicts.includes('cutOff') && (
          <Select
            aria-label={messages.whyItWasCutOff}
            placeholder={messages.why}
            popupMatchSelectWidth={false}
            {...(entry.cutReason ? { value: entry.cutReason } : {})}
            options={CUT_REASONS.map((value) => ({ value, label: CUT_LABEL[value] }))}
            onSelect={(cutReason: CutReason) => void repository?.judge(entry.id, { cutReason })}
          />
        )}
      </VerdictButtons>
      <Input.TextArea
        aria-label={messages.noteOn({ shotName: entry.shotName })}
        placeholder={messages.whatToChangeNextTime}
        autoSize={{ minRows: 1, maxRows: 6 }}
        maxLength={2000}
        value={typed ?? entry.note}
        onChange={(event) => type(event.target.value)}
        onBlur={() => {
          if (typed === undefined || typed === entry.note) leave();
          else give(() => repository?.judge(entry.id, { note: typed }));
        }}
      />
      <Refused why={refused} />
    </>
  );
}
