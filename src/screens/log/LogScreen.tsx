'use client';

import { shotName } from '@/words/shotName';
import * as messages from '@/language/log';
import { Button, Input, Select } from 'antd';
import Link from 'next/link';
import { useRouter } from 'next/navigation';
import { useMemo } from 'react';
import type { ReactNode } from 'react';
import { CUT_REASONS } from '@/core/records/logEntry';
import type { CutReason, LogEntry, Verdict } from '@/core/records/logEntry';
import type { Outing } from '@/core/records/outing';
import { ownZone } from '@/formats/today';
import { CARD_KEYS } from '@/words/card';
import { CUT_LABEL } from '@/words/labels';
import { Empty } from '../ui/Empty';
import { useOutings } from '../data/outings';
import { useRepository, useLog, useShots } from '../data/repository';
import { Refused } from '../ui/Fields';
import { placeUrl, useShotId } from '../routes';
import { useTyped } from '../ui/useTyped';
import { VerdictButtons } from '../ui/VerdictButtons';
import { VirtualList } from '../ui/VirtualList';
import type { RowProps } from '../ui/listProps';
import { trimmed } from '@/core/units/format';
import { clockText, dateText } from '@/words/lightText';
import { durationText } from '@/words/settingText';
import { SettingStrip } from '../ui/SettingStrip';
import styles from './log.module.css';

const ALL = '__all';

/** Log: what was recorded, with the settings as they were, and what came of it. */
export function LogScreen(): ReactNode {
  const log = useLog();
  const shots = useShots();
  const id = useShotId();
  const router = useRouter();
  const names = useMemo(() => {
    const known = new Map(log?.map(({ shotId, shotName }) => [shotId, shotName]));
    for (const record of shots ?? []) if (known.has(record.id)) known.set(record.id, shotName(record.shot));
    return known;
  }, [log, shots]);
  const kept = useMemo(() => new Set(shots?.map((record) => record.id)), [shots]);
  const outings = useOutings();
  const zones = useMemo(() => zonesOfShots(outings ?? []), [outings]);
  if (!log) return null;
  if (log.length === 0)
    return (
      <Empty title={messages.nothingRecordedYet} text={messages.carryAShotAndTap}>
        <Link href="/carry">{messages.toTheCard}</Link>
      </Empty>
    );
  const shown = id === null || !names.has(id) ? log : log.filter(({ shotId }) => shotId === id);
  return (
    <>
      <div className={styles.head}>
        <h1>{messages.log}</h1>
        <Select
          aria-label={messages.showRecordingsOf}
          className={styles.filter ?? ''}
          showSearch={{ optionFilterProp: 'label' }}
          popupMatchSelectWidth={false}
          value={id !== null && names.has(id) ? id : ALL}
          options={[
            { value: ALL, label: messages.allShots({ count: log.length }) },
            ...[...names].map(([value, label]) => ({ value, label })),
          ]}
          onSelect={(value) => router.replace(placeUrl('/log', value === ALL ? null : value))}
        />
      </div>
      <VirtualList items={shown} keyOf={({ id: key }) => key} rowHeight={ENTRY_HEIGHT}>
        {(entry, on) => (
          <Entry
            entry={entry}
            zone={zones.get(entry.shotId) ?? zoneOfEntry(entry)}
            kept={kept.has(entry.shotId)}
            on={on}
          />
        )}
      </VirtualList>
    </>
  );
}

/** Height of an entry on a laptop, pixels. */
const ENTRY_HEIGHT = 260;

/** The clock of the outing in which each shot stands. */
function zonesOfShots(outings: readonly Outing[]): ReadonlyMap<string, string> {
  return new Map(
    outings.flatMap(({ zone, days }) =>
      days.flatMap(({ entries }) =>
        entries.flatMap((entry) => (entry.what === 'shot' ? [[entry.shotId, zone] as const] : [])),
      ),
    ),
  );
}

/** Of a recording without an outing: the clock of its place, else this computer's. */
function zoneOfEntry({ shot: { light } }: LogEntry): string {
  return (light?.kind === 'sun' ? light.zone : undefined) ?? ownZone();
}

function Entry({
  entry,
  zone,
  kept,
  on,
}: {
  entry: LogEntry;
  zone: string;
  kept: boolean;
  on: RowProps;
}): ReactNode {
  const repository = useRepository();
  const { typed, type, leave, give, refused } = useTyped<string>();
  const toggle = (verdict: Verdict): void => {
    // Taken as it was seen, put on what is kept by then.
    const off = entry.verdicts.includes(verdict);
    void repository?.judge(entry.id, {
      verdicts: (before) => {
        const others = before.filter((one) => one !== verdict);
        return off ? others : [...others, verdict];
      },
    });
  };
  const atMs = Date.parse(entry.at);
  return (
    <li className={styles.entry} {...on}>
      <div className={styles.what}>
        <h2>
          {kept ? <Link href={placeUrl('/bench', entry.shotId)}>{entry.shotName}</Link> : entry.shotName}
        </h2>
        <time dateTime={entry.at} className="numerals">
          {dateText(atMs, zone)}, {clockText(atMs, zone)}
        </time>
        <Button
          type="text"
          danger
          onClick={() => void repository?.removeEntry(entry.id)}
          aria-label={messages.removeTheRecordingOf({ shotName: entry.shotName })}
        >
          {messages.remove}
        </Button>
      </div>
      {entry.clip && (
        <p className="numerals">
          {messages.fileAndSeconds({
            file: entry.clip.file,
            seconds: durationText(entry.clip.seconds),
            gigabytes: trimmed(entry.clip.gigabytes, 2),
          })}
        </p>
      )}
      <SettingStrip keys={CARD_KEYS} settings={entry.settings} kit={entry.shot.filters ?? []} />
      <VerdictButtons
        label={messages.verdictOn({ shotName: entry.shotName })}
        verdicts={entry.verdicts}
        onToggle={toggle}
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
    </li>
  );
}
