'use client';

import * as messages from '@/language/debrief';
import type { ReactNode } from 'react';
import type { WorkedPart } from '@/core/day/workedDay';
import { toldTilt } from '@/core/inspect/pictureLooks';
import type { Clip } from '@/core/records/clip';
import type { FindingCode } from '@/core/vocabulary/findings';
import type { SettingKey } from '@/core/records/settings';
import { tenths, trimmed } from '@/core/units/format';
import { CARD_KEYS } from '@/words/cardKeys';
import { SETTING_LABEL } from '@/words/labels';
import { durationText, settingText } from '@/words/settingText';
import { usePreference } from '../data/repository';
import { endingOf, plannedSeconds } from './dayTakes';
import styles from './debrief.module.css';
import type { DebriefProps } from './shown';

/** The eight tiles, what was planned for each and what of it came back; where a setting itself leaves no trace, what shows it. */
export function PlanBeside({
  clip,
  part,
  clips,
  worked,
}: Pick<DebriefProps, 'clips' | 'worked'> & { clip: Clip; part: WorkedPart | undefined }): ReactNode {
  const [notation] = usePreference('filterNotation');
  const settings = part?.answer?.carried?.settings;
  const found = new Set(clip.measured.findings.map(({ code }) => code));
  return (
    <section aria-label={messages.planBesideMeasured} className={styles.beside}>
      <h3>{messages.planBesideMeasured}</h3>
      <table>
        <thead>
          <tr>
            <th scope="col">{messages.setting}</th>
            <th scope="col">{messages.planned}</th>
            <th scope="col">{messages.cameBack}</th>
          </tr>
        </thead>
        <tbody>
          {CARD_KEYS.map((key) => {
            const shown = SHOWN[key];
            const amiss = shown?.codes.some((code) => found.has(code)) ?? false;
            return (
              <tr key={key} data-amiss={amiss}>
                <th scope="row">{SETTING_LABEL[key]}</th>
                <td className="numerals">
                  {settings ? settingText(key, settings, part.brief.filters, notation) : messages.none}
                </td>
                <td className="numerals">
                  {shown?.text(clip) ?? messages.leavesNoTrace}
                  {amiss && <b className={styles.amiss}> {messages.amiss}</b>}
                </td>
              </tr>
            );
          })}
          <tr data-amiss={found.has('cutOff')}>
            <th scope="row">{messages.length}</th>
            <td className="numerals">{part ? durationText(plannedSeconds(part)) : messages.none}</td>
            <td className="numerals">
              {durationText(clip.piece?.totalSeconds ?? clip.measured.container.durationSeconds)}
              {clip.piece && messages.pieceOf({ number: clip.piece.number, of: clip.piece.of })}
              {found.has('cutOff') && <b className={styles.amiss}> {messages.amiss}</b>}
            </td>
          </tr>
          <tr>
            <th scope="row">{messages.endedBy}</th>
            <td className="numerals">{messages.none}</td>
            <td>{messages.endings[endingOf(clip, clips, worked)]}</td>
          </tr>
        </tbody>
      </table>
    </section>
  );
}

/** Less grain than this is the rounding of the codes. */
const NO_GRAIN_DB = 60;

interface Shown {
  text: (clip: Clip) => string | null;
  /** Findings that speak of it. */
  codes: readonly FindingCode[];
}

const SHOWN: Partial<Record<SettingKey, Shown>> = {
  frameRate: {
    text: ({ measured: { container, pictures } }) =>
      pictures?.repeatPattern
        ? messages.fpsOneInNew({ fps: trimmed(container.nominalFps, 2), pattern: pictures.repeatPattern })
        : messages.fps({ fps: trimmed(container.nominalFps, 2) }),
    codes: ['frameRate', 'stutter'],
  },
  shutterSeconds: {
    text: ({ measured: { pictures } }) => {
      const told = [
        pictures?.pulsingPct == null
          ? null
          : messages.sharpnessSwings({ value: trimmed(pictures.pulsingPct, 1) }),
        pictures?.flicker &&
          messages.lightSwings({
            value: trimmed(pictures.flicker.pct, 1),
            hz: trimmed(pictures.flicker.hz, 1),
          }),
      ].filter((text) => typeof text === 'string');
      return told.length === 0 ? null : told.join('; ');
    },
    codes: ['smear', 'strobing', 'flicker'],
  },
  filter: {
    text: ({ measured: { pictures } }) =>
      pictures && messages.whiteAtWorst({ value: trimmed(pictures.clippedPct.worst, 1) }),
    codes: ['over'],
  },
  iso: {
    text: ({ measured: { pictures } }) =>
      pictures &&
      (pictures.noiseDb === null || pictures.noiseDb > NO_GRAIN_DB
        ? messages.blackAtWorst({ dark: trimmed(pictures.crushedPct.worst, 1) })
        : messages.grainAndDark({
            noise: trimmed(pictures.noiseDb, 0),
            dark: trimmed(pictures.crushedPct.worst, 1),
          })),
    codes: ['noise', 'under', 'drift'],
  },
  resolution: {
    text: ({ measured: { container } }) => `${container.width}×${container.height}`,
    codes: ['size'],
  },
  view: {
    text: ({ measured: { pictures } }) => {
      const deg = pictures && toldTilt(pictures);
      return deg === null ? null : messages.horizonTurned({ deg: tenths(deg).replace('-', '−') });
    },
    codes: ['tilt', 'soft'],
  },
  bitRateMbps: {
    text: ({ measured: { container } }) =>
      container.bitRateMbps === null ? null : messages.mbitS({ rate: trimmed(container.bitRateMbps, 1) }),
    codes: ['bitRate'],
  },
  stabilization: {
    text: ({ measured: { pictures } }) =>
      pictures?.movement
        ? messages.shakes({
            value: trimmed(pictures.movement.shakePctWidthPerSRms, 1),
            hz: pictures.movement.strongestHz === null ? '–' : trimmed(pictures.movement.strongestHz, 1),
          })
        : null,
    codes: ['shake'],
  },
};
