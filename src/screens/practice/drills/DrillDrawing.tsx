'use client';

import * as messages from '@/language/practice/drills';
import { useMemo } from 'react';
import type { ReactNode } from 'react';
import type { Drill, DrillChoice } from '@/core/drill/drill';
import type { PreviewTake } from '@/core/preview/take';
import type { Settings } from '@/core/records/settings';
import { SettingStrip } from '../../ui/SettingStrip';
import { mapOf } from '../../ui/modeMap/cells';
import { ModeGrid } from '../../ui/modeMap/ModeGrid';
import { LastsDrawing } from './LastsDrawing';
import { Pictures } from './Pictures';
import { RuleDrawing } from './RuleDrawing';
import styles from './drills.module.css';

/** What a drill is looked at by: the picture, the stop rule, the map of the camera's modes, or how long it lasts. */
export function DrillDrawing({
  drill,
  chosen,
  onPick,
}: {
  drill: Drill;
  chosen: DrillChoice | null;
  onPick: (choice: DrillChoice) => void;
}): ReactNode {
  const { given } = drill;
  switch (given.kind) {
    case 'light':
      return chosen ? null : <OnePicture drill={drill} take={given.take} />;
    case 'school':
      return (
        <>
          <SettingStrip keys={TOLD} settings={given.settings} kit={drill.brief.filters} />
          <OnePicture drill={drill} take={given.take} />
        </>
      );
    case 'stops':
    case 'filter':
    case 'shutter':
      return <RuleDrawing drill={drill} chosen={chosen} />;
    case 'rate':
    case 'view':
      return <Modes drill={drill} settings={given.settings} chosen={chosen} onPick={onPick} />;
    case 'lasts':
      return <LastsDrawing drill={drill} given={given} chosen={chosen} />;
  }
}

const TOLD = [
  'frameRate',
  'shutterSeconds',
  'filter',
  'iso',
  'view',
  'stabilization',
  'bitRateMbps',
] as const;

function OnePicture({ drill, take }: { drill: Drill; take: PreviewTake }): ReactNode {
  const takes = useMemo(() => [take], [take]);
  return (
    <Pictures takes={takes} names={[messages.whatItWas]} timelineFps={drill.brief.playback.timelineFps} />
  );
}

/** What the camera offers beside what is held; a cell of the map answers with its frame rate. */
function Modes({
  drill: { kind, brief, choices },
  settings: { frameRate, view, stabilization },
  chosen,
  onPick,
}: {
  drill: Drill;
  settings: Settings;
  chosen: DrillChoice | null;
  onPick: (choice: DrillChoice) => void;
}): ReactNode {
  const { camera } = brief;
  const rate = kind === 'rate';
  const map = useMemo(
    () => mapOf(camera, { stabilization, ...(rate ? { viewId: view.id } : { frameRate }) }),
    [camera, stabilization, rate, view.id, frameRate],
  );
  return (
    <div className={styles.modes}>
      <ModeGrid
        map={map}
        wishes={{}}
        onPick={({ frameRate: picked }) => {
          const choice = choices.find(({ answer }) => 'frameRate' in answer && answer.frameRate === picked);
          if (rate && choice && !chosen) onPick(choice);
        }}
      />
    </div>
  );
}
