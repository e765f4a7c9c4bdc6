'use client';

import * as messages from '@/language/bench/preview';
import { memo } from 'react';
import type { ReactNode } from 'react';
import type { Filter } from '@/core/filters/kit';
import type { Settings } from '@/core/records/settings';
import type { Candidate } from '@/core/search/candidate';
import type { MotionSheet } from '@/core/compare/motionSheet';
import type { Space } from '@/core/search/space';
import { shutterSpanText } from '@/words/motionText';
import type { MotionLine } from '@/words/motionText';
import { filterText, isoText, settingText } from '@/words/settingText';
import styles from './preview.module.css';

/** One way of filming the shot, with all that is told of it. */
export interface Side {
  name: string;
  settings: Settings;
  sheet: MotionSheet;
  lines: readonly MotionLine[];
  space: Space;
  candidate: Candidate;
}

export function settingsLine({ settings, sheet }: Side, filters: readonly Filter[]): string {
  return [
    settingText('frameRate', settings, filters),
    shutterSpanText(sheet),
    filterText(settings.filter, filters),
    `ISO ${isoText(settings.iso)}`,
    settingText('resolution', settings, filters),
    settingText('view', settings, filters),
    settingText('stabilization', settings, filters),
  ].join(' · ');
}

/** Both ways side by side in figures. */
export const SideFigures = memo(function SideFigures({
  sides,
  filters,
}: {
  sides: readonly Side[];
  filters: readonly Filter[];
}): ReactNode {
  return (
    <table className={styles.figures}>
      <caption className="unseen">{messages.movementInEachInPer}</caption>
      <thead>
        <tr>
          <th scope="col">{messages.ofTheFramesWidth}</th>
          {sides.map((side, at) => (
            <th key={at} scope="col">
              <b>{at === 0 ? 'A' : 'B'}</b> {side.name}
            </th>
          ))}
        </tr>
      </thead>
      <tbody>
        <tr>
          <th scope="row">{messages.settings}</th>
          {sides.map((side, at) => (
            <td key={at} className="numerals">
              {settingsLine(side, filters)}
            </td>
          ))}
        </tr>
        {sides[0]?.lines.map((line, row) => (
          <tr key={line.name}>
            <th scope="row">{line.name}</th>
            {sides.map((side, at) => (
              <td key={at} className="numerals" data-past={side.lines[row]?.past}>
                {side.lines[row]?.value}
              </td>
            ))}
          </tr>
        ))}
      </tbody>
    </table>
  );
});
