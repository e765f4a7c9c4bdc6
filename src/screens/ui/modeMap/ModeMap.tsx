'use client';

import * as messages from '@/language/ui';
import { Phrase } from '../Phrase';
import { Button } from 'antd';
import { useMemo, useState } from 'react';
import type { ReactNode } from 'react';
import { modesOf } from '@/core/camera/modeTable';
import type { CameraProfile } from '@/core/camera/profile';
import { cheapestGiveUps, grants, optionsFor, WISH_KEYS, withoutWishes } from '@/core/camera/wishes';
import type { GiveUp, WishKey, ModeWishes } from '@/core/camera/wishes';
import { insteadText, WISH_LABEL, wishText } from '@/words/cameraText';
import { STABILIZATION_LABEL, viewLabel } from '@/words/labels';
import { mapOf, USUAL_TIMELINE_FPS } from './cells';
import type { MapOf } from './cells';
import { ModeGrid } from './ModeGrid';
import styles from './modeMap.module.css';

/**
 * Everything a camera can do in one picture: sizes down, frame rates across, and in each cell a small square for every
 * view (across) and hold (down). Wishes light what grants them; what no longer goes with them is hatched, and can be
 * picked all the same, to hear what to give up for it.
 */
export function ModeMap({
  profile,
  wishes,
  onWishes,
}: {
  profile: CameraProfile;
  wishes: ModeWishes;
  onWishes: (wishes: ModeWishes) => void;
}): ReactNode {
  const [last, setLast] = useState<WishKey | null>(null);
  const map = useMemo(() => mapOf(profile, wishes), [profile, wishes]);
  const granted = useMemo(
    () => modesOf(profile).filter((mode) => grants(mode, wishes)).length,
    [profile, wishes],
  );
  const wish = (changes: ModeWishes, key: WishKey): void => {
    setLast(key);
    onWishes({ ...wishes, ...changes });
  };
  const drop = (...keys: WishKey[]): void => onWishes(withoutWishes(wishes, keys));
  return (
    <div className={styles.map}>
      <div className={styles.wishes} role="group" aria-label={messages.wishes}>
        {WISH_KEYS.map((key) => (
          <div key={key} className={styles.wishRow}>
            <span className={styles.wishName} id={`wish-${key}`}>
              {WISH_LABEL[key]}
            </span>
            <span role="group" aria-labelledby={`wish-${key}`} className={styles.chips}>
              {optionsFor(profile, key, wishes).map(({ value, open }) => {
                const held = wishes[key] === value;
                return (
                  <button
                    key={String(value)}
                    type="button"
                    aria-pressed={held}
                    data-open={open}
                    onClick={() => (held ? drop(key) : wish({ [key]: value }, key))}
                  >
                    {wishText(key, value)}
                    {!open && !held && <span className="unseen">{messages.notWithTheOtherWishes}</span>}
                  </button>
                );
              })}
            </span>
          </div>
        ))}
      </div>
      <Verdict
        profile={profile}
        wishes={wishes}
        granted={granted}
        last={last}
        onDrop={drop}
        onClear={() => onWishes({})}
      />
      <ModeGrid
        map={map}
        wishes={wishes}
        onPick={({ resolutionId, frameRate }) => {
          if (wishes.resolutionId === resolutionId && wishes.frameRate === frameRate)
            drop('resolutionId', 'frameRate');
          else wish({ resolutionId, frameRate }, 'resolutionId');
        }}
      />
      <Legend map={map} />
    </div>
  );
}

/** How many modes grant the wishes, or what to give up so that one does. */
function Verdict({
  profile,
  wishes,
  granted,
  last,
  onDrop,
  onClear,
}: {
  profile: CameraProfile;
  wishes: ModeWishes;
  granted: number;
  last: WishKey | null;
  onDrop: (...keys: WishKey[]) => void;
  onClear: () => void;
}): ReactNode {
  const any = WISH_KEYS.some((key) => wishes[key] !== undefined);
  const wanted =
    last !== null && wishes[last] !== undefined ? last : WISH_KEYS.find((key) => wishes[key] !== undefined);
  const ways: GiveUp[] = granted > 0 || !wanted ? [] : cheapestGiveUps(profile, wishes, wanted);
  return (
    <div className={styles.verdict} role="status">
      {granted > 0 ? (
        <p>
          <Phrase
            of={messages.ofModesGrantTheseWishes({ count: modesOf(profile).length, any })}
            parts={[<strong className="numerals">{granted}</strong>]}
          />
          {any && (
            <Button type="link" onClick={onClear}>
              {messages.letAllWishesGo}
            </Button>
          )}
        </p>
      ) : (
        <>
          <p className={styles.dark}>
            {messages.noModeGrantsAllOf({
              wanted: wanted ? messages.toHaveGiveUp({ wanted: wishText(wanted, wishes[wanted] ?? '') }) : '',
            })}
          </p>
          <ul>
            {ways.map((way) => (
              <li key={way.keys.join()}>
                <Button onClick={() => onDrop(...way.keys)}>
                  {way.keys.map((key) => wishText(key, wishes[key] ?? '')).join(messages.and)}
                </Button>{' '}
                <span className="quiet">{messages.andTake({ way: insteadText(way) })}</span>
              </li>
            ))}
          </ul>
        </>
      )}
    </div>
  );
}

function Legend({ map }: { map: MapOf }): ReactNode {
  return (
    <p className={styles.legend}>
      <Phrase
        of={messages.inEachCellViewsAcross({
          views: map.views.map(viewLabel).join(', '),
          stabilizations: map.stabilizations.map((hold) => STABILIZATION_LABEL[hold]).join(', '),
          usualTimelineFps: USUAL_TIMELINE_FPS,
        })}
        parts={[<em>{messages.slowWord}</em>]}
      />
    </p>
  );
}
