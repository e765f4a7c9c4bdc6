'use client';

import * as messages from '@/language/bench/preview';
import { SCENERIES } from '@/core/vocabulary/activities';
import type { Scenery } from '@/core/vocabulary/activities';
import { Segmented, Select } from 'antd';
import { memo } from 'react';
import type { ReactNode } from 'react';
import { LIGHT_MOMENTS } from '@/core/preview/take';
import type { LightMoment } from '@/core/preview/take';
import { trimmed } from '@/core/units/format';
import { LIGHT_MOMENT_LABEL, SCENE_PICTURE_LABEL } from '@/words/labels';
import styles from './preview.module.css';
import type { StageView } from './stage';

/** What is looked at and how. PanelProps anew only when one of these changes, not with each picture that comes. */
export const LookControls = memo(function LookControls({
  variants,
  variant,
  onVariant,
  moment,
  onMoment,
  speeds,
  speed,
  onSpeed,
  scene,
  onScene,
  layout,
  onLayout,
}: {
  variants: readonly { value: string; label: string }[];
  variant: string;
  onVariant: (key: string) => void;
  moment: LightMoment;
  onMoment: (moment: LightMoment) => void;
  speeds: readonly number[];
  speed: number;
  onSpeed: (speed: number) => void;
  scene: Scenery | 'fits';
  onScene: (scene: Scenery | 'fits') => void;
  /** `null`: there is but one picture. */
  layout: StageView['layout'] | null;
  onLayout: (layout: StageView['layout']) => void;
}): ReactNode {
  return (
    <div className={styles.controls}>
      <Control label={messages.besideTheAnswer}>
        <Select
          aria-label={messages.besideTheAnswer}
          virtual={false}
          listHeight={420}
          value={variant}
          onChange={onVariant}
          style={{ width: 260 }}
          options={[...variants]}
        />
      </Control>
      <Control label={messages.light}>
        <Segmented
          aria-label={messages.light}
          value={moment}
          onChange={onMoment}
          options={LIGHT_MOMENTS.map((one) => ({ value: one, label: LIGHT_MOMENT_LABEL[one] }))}
        />
      </Control>
      {speeds.length > 1 && (
        <Control label={messages.played}>
          <Segmented
            aria-label={messages.played}
            value={speed}
            onChange={onSpeed}
            options={speeds.map((one) => ({
              value: one,
              label:
                one === 1
                  ? messages.realTime
                  : one > 1
                    ? messages.slower({ one: trimmed(one, 2) })
                    : messages.faster({ one: trimmed(1 / one, 2) }),
            }))}
          />
        </Control>
      )}
      <Control label={messages.place}>
        <Select
          aria-label={messages.placeDrawn}
          value={scene}
          onChange={onScene}
          style={{ width: 170 }}
          options={[
            { value: 'fits', label: messages.theOneThatFits },
            ...SCENERIES.map((one) => ({ value: one, label: SCENE_PICTURE_LABEL[one] })),
          ]}
        />
      </Control>
      {layout !== null && (
        <Control label={messages.sideBySide}>
          <Segmented<StageView['layout']>
            aria-label={messages.layout}
            value={layout}
            onChange={onLayout}
            options={[
              { value: 'divide', label: messages.divided },
              { value: 'sideBySide', label: messages.bothWhole },
            ]}
          />
        </Control>
      )}
    </div>
  );
});

function Control({ label, children }: { label: string; children: ReactNode }): ReactNode {
  return (
    <div className={styles.control}>
      <span aria-hidden>{label}</span>
      {children}
    </div>
  );
}
