'use client';

import * as messages from '@/language/bench/steadiness';
import { Button } from 'antd';
import Link from 'next/link';
import { useMemo } from 'react';
import type { ReactNode } from 'react';
import type { Solution } from '@/core/answer/solve';
import { shotOnMount } from '@/core/brief/otherMount';
import { steadyWays, tiltRemedies } from '@/core/compare/steadiness';
import type { SteadyWay } from '@/core/compare/steadiness';
import { omit } from '@/core/units/omit';
import { shutterFraction, tenths, trimmed } from '@/core/units/format';
import { remedyName, meansName, priceText, wayNotes } from '@/words/steadinessText';
import { ownZone } from '@/formats/today';
import { measuredSource, measuredText } from '@/words/measuredText';
import { sourceOf, useMeasured } from '../../../data/measured';
import { instrumentUrl, useShotId } from '../../../routes';
import { viewLabel } from '@/words/labels';
import type { ShotChange, ShotEditing } from '../../../data/useShotEditing';
import { pinnedTo } from '../../answer/pins';
import styles from './steadiness.module.css';

/** How much it shakes and how it stands, where that is from, and the way to measure it. */
function Measurable({ shake, tiltDeg }: { shake: number; tiltDeg: number }): ReactNode {
  const shotId = useShotId() ?? '';
  const measured = useMeasured({ shotId });
  const from = sourceOf(measured, 'shake', shake);
  const level = tiltDeg === 0 ? null : sourceOf(measured, 'level', tiltDeg);
  return (
    <p>
      {messages.itShakes({ shake: trimmed(shake, 1) })}{' '}
      {from && <span className="quiet">{measuredSource(from, ownZone())} </span>}
      {level && (
        <>
          {messages.itStands({ level: measuredText(level.figure) })}{' '}
          <span className="quiet">{measuredSource(level, ownZone())} </span>
        </>
      )}
      <Link href={instrumentUrl({ shotId })}>{messages.measureIt}</Link>
    </p>
  );
}

/** Every way to hold this shot, each solved whole: how much of the swing it takes up, and what it costs. */
export function SteadinessPanel({
  solution,
  editing,
}: {
  solution: Solution;
  editing: ShotEditing;
}): ReactNode {
  const { space, candidate, loss } = solution;
  const ways = useMemo(() => steadyWays(space, loss), [space, loss]);
  const remedies = useMemo(() => tiltRemedies(space, candidate, ways), [space, candidate, ways]);
  const { tiltDeg } = space.brief.mount;
  const wanted = space.brief.playback.deliver.width;
  const most = Math.max(
    ...ways.flatMap(({ swingDeg, heldDeg }) => [swingDeg, Math.min(heldDeg, 3 * swingDeg)]),
    1,
  );
  // What needs a hand or a stand is no match for a way that rides along.
  const best = Math.min(...ways.filter(({ means }) => means.kind !== 'physical').map(({ score }) => score));
  const widest = Math.max(wanted, ...remedies.map(({ widthPx }) => widthPx));
  return (
    <section aria-labelledby="steady-title" className={styles.panel}>
      <h2 id="steady-title">{messages.steadiness}</h2>
      <p className="quiet">{messages.decidedBeforeTheShutterThe}</p>
      <Measurable shake={space.brief.motion.shakeDegPerSRms} tiltDeg={tiltDeg} />
      <ul className={styles.ways}>
        {ways.map((way) => (
          <li key={meansName(way.means)} data-best={way.score === best}>
            <strong>{meansName(way.means)}</strong>
            <SwingBar way={way} most={most} />
            <span className="numerals">
              {messages.fpsShutterWithinS({
                width: trimmed(way.settings.resolution.width, 0),
                height: way.settings.resolution.height,
                frameRate: trimmed(way.settings.frameRate, 3),
                id: viewLabel(way.settings.view.id),
                horizontalDeg: trimmed(way.settings.view.horizontalDeg, 0),
                shakeFloorSeconds: shutterFraction(way.shakeFloorSeconds),
              })}
            </span>
            <span className={`${styles.score ?? ''} numerals`}>
              <span className="unseen">{messages.score}</span>
              {tenths(way.score)}
            </span>
            <Button
              aria-label={messages.takeMeans({ means: meansName(way.means) })}
              onClick={() => editing.commit(messages.holdIt({ means: meansName(way.means) }), takeWay(way))}
            >
              {messages.take}
            </Button>
            <p className={styles.notes}>
              {wayNotes(way).join(' · ')}
              <br />
              {priceText(way)}
            </p>
          </li>
        ))}
      </ul>
      {Math.abs(tiltDeg) > 1.5 && (
        <>
          <h3>{messages.offLevelByWhatEach({ tiltDeg: trimmed(Math.abs(tiltDeg), 1) })}</h3>
          <ul className={styles.cures}>
            {remedies.map(({ remedy, widthPx, rights, way }) => (
              <li key={remedy}>
                <span>{remedyName(remedy)}</span>
                <span className={styles.track} aria-hidden>
                  <span className={styles.fill} style={{ width: `${(100 * widthPx) / widest}%` }} />
                  <span className={styles.mark} style={{ left: `${(100 * wanted) / widest}%` }} />
                </span>
                <span className="numerals">
                  {remedy !== 'straighten' && !way
                    ? messages.notOnThisCamera
                    : messages.widthPx({ widthPx: trimmed(widthPx, 0) })}
                  {rights ? '' : messages.doesNotReachSoFar}
                </span>
              </li>
            ))}
          </ul>
          <p className="quiet">{messages.pixelsAcrossWhatIsDelivered({ wanted })}</p>
        </>
      )}
    </section>
  );
}

function SwingBar({ way, most }: { way: SteadyWay; most: number }): ReactNode {
  const share = (degrees: number): string => `${Math.min(100, (100 * degrees) / most)}%`;
  return (
    <span
      className={styles.track}
      role="img"
      aria-label={messages.takesUpOfToEither({
        heldDeg: tenths(way.heldDeg),
        swingDeg: tenths(way.swingDeg),
      })}
    >
      <span
        className={styles.fill}
        data-short={way.heldDeg < way.swingDeg}
        style={{ width: share(way.heldDeg) }}
      />
      <span className={styles.mark} style={{ left: share(way.swingDeg) }} />
    </span>
  );
}

/** Taking a way: its hold pinned (what stood against it let go), the edit's school, or the other mount. */
function takeWay(way: SteadyWay): ShotChange {
  const { means } = way;
  return (shot) => {
    switch (means.kind) {
      case 'inCamera': {
        const { stabilization } = means;
        const loose = (way.gaveWay as (keyof NonNullable<typeof shot.pins>)[]).reduce(
          (pins, key) => omit(pins, key) as typeof pins,
          shot.pins ?? {},
        );
        return pinnedTo({ ...shot, pins: loose }, 'stabilization', { stabilization });
      }
      case 'inEdit':
        return {
          ...omit(shot, 'pins'),
          pins: omit(shot.pins ?? {}, 'stabilization'),
          look: { ...shot.look, school: 'post' },
        };
      case 'physical':
        return shotOnMount(shot, means.mount);
    }
  };
}
