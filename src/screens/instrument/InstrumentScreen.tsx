'use client';

import * as messages from '@/language/instrument';
import { useRouter, useSearchParams } from 'next/navigation';
import { useState } from 'react';
import type { ReactNode } from 'react';
import { useKit } from '../data/kit';
import { useShots } from '../data/repository';
import { Empty } from '../ui/Empty';
import { ChoiceField } from '../ui/Fields';
import { ABOVE_FOOT } from '../ui/Foot';
import { PlaceTabs } from '../ui/PlaceTabs';
import { LevelTab } from './LevelTab';
import { LightTab } from './LightTab';
import { MeasuredList } from './MeasuredList';
import { ShakeTab } from './ShakeTab';
import { targetsOf } from './targets';
import shared from '../ui/narrowPlace.module.css';

const PARTS = [
  { id: 'shake', label: messages.shake },
  { id: 'level', label: messages.level },
  { id: 'light', label: messages.light },
] as const;
type Part = (typeof PARTS)[number]['id'];

/** The phone as an instrument: how a mount shakes and stands, and the light of a photograph, each a figure of a shot. */
export function InstrumentScreen(): ReactNode {
  const router = useRouter();
  const query = useSearchParams();
  const shots = useShots();
  const kit = useKit();
  const [chosen, setChosen] = useState<string | null>(null);
  if (!shots || !kit) return null;
  const open: Part = PARTS.find(({ id }) => id === query.get('part'))?.id ?? 'shake';
  const targets = targetsOf(shots, kit, { shotId: query.get('shot'), kitId: query.get('item') });
  const target = targets.find(({ key }) => key === chosen) ?? targets[0];
  if (!target) return <Empty title={messages.nothingToMeasure} text={messages.nothingToMeasureText} />;
  const go = (part: Part): void => {
    const next = new URLSearchParams(query);
    next.set('part', part);
    router.replace(`/instrument?${next.toString()}`);
  };
  return (
    <div className={`${shared.place ?? ''} ${ABOVE_FOOT}`}>
      <h1>{messages.instrument}</h1>
      <ChoiceField
        label={messages.measuredFor}
        value={target.key}
        options={targets.map(({ key, label }) => ({ value: key, label }))}
        onCommit={setChosen}
      />
      <PlaceTabs label={messages.parts} tabs={PARTS} open={open} onOpen={go}>
        {open === 'shake' && <ShakeTab key={target.key} target={target} shots={shots} kit={kit} />}
        {open === 'level' && <LevelTab key={target.key} target={target} />}
        {open === 'light' && <LightTab key={target.key} target={target} />}
      </PlaceTabs>
      <MeasuredList target={target} />
    </div>
  );
}
