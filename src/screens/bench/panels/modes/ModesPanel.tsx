'use client';

import * as messages from '@/language/bench/modes';
import type { ReactNode } from 'react';
import { ownPins } from '@/core/brief/brief';
import type { Brief } from '@/core/brief/brief';
import { omit } from '@/core/units/omit';
import { Button } from 'antd';
import { pinsOf as held } from '@/core/compare/variants';
import { filmedPlainly, keptAsTimeLapse } from '@/core/records/filmedAs';
import type { Settings } from '@/core/records/settings';
import type { Shot } from '@/core/records/shot';
import { kitCameraOf, setupsOf } from '@/core/records/slots';
import { useKit } from '../../../data/kit';
import styles from './modes.module.css';
import { ModeMap } from '../../../ui/modeMap/ModeMap';
import { otherPins, pinsOfWishes, wishesOf } from '../../answer/wishPins';
import type { ShotEditing } from '../../../data/useShotEditing';

/** The camera's whole map with this shot's pins as wishes: what is picked here is pinned, and the rest solved round it. */
export function ModesPanel({ brief, editing }: { brief: Brief; editing: ShotEditing }): ReactNode {
  return (
    <section aria-labelledby="modes-title" className={styles.panel}>
      <KeptSetups brief={brief} editing={editing} />
      <h2 id="modes-title">{messages.whatCanDo({ camera: brief.camera.name })}</h2>
      <ModeMap
        profile={brief.camera}
        wishes={wishesOf(ownPins(brief), brief.camera)}
        onWishes={(wishes) =>
          editing.commit(messages.pinOnTheModeMap, (shot) => {
            const pins = { ...otherPins(shot.pins ?? {}), ...pinsOfWishes(wishes, brief.camera) };
            const bare = omit(shot, 'pins');
            return Object.keys(pins).length === 0 ? bare : { ...bare, pins };
          })
        }
      />
    </section>
  );
}

/** What the camera's slots hold, to be taken into the shot with one press. */
function KeptSetups({ brief, editing }: { brief: Brief; editing: ShotEditing }): ReactNode {
  const kit = useKit();
  const camera = kit && kitCameraOf(kit, brief.camera);
  const setups = camera ? setupsOf(camera.thing) : [];
  if (setups.length === 0) return null;
  return (
    <div className={styles.setups}>
      <h2>{messages.setUpsOf({ camera: brief.camera.name })}</h2>
      <ul>
        {setups.map(({ slot, name, settings, intervalSeconds }) => (
          <li key={slot}>
            <Button
              onClick={() =>
                editing.commit(messages.takeASetUp, (shot) => underSetup(shot, settings, intervalSeconds))
              }
            >
              {messages.takeSetUp({ slot, name })}
            </Button>
          </li>
        ))}
      </ul>
    </div>
  );
}

/** Everything that a slot stores, pinned; the filter before the lens is the shot's own. */
function underSetup(shot: Shot, settings: Settings, intervalSeconds: number | undefined): Shot {
  const { filter } = shot.pins ?? {};
  const pins = { ...omit(held(settings), 'filter'), ...(filter ? { filter } : {}) };
  const plain = filmedPlainly(shot);
  if (intervalSeconds === undefined) return { ...plain, pins };
  const moving = settings.recording === 'movingTimeLapse';
  return keptAsTimeLapse({ ...plain, ...(filter ? { pins: { filter } } : {}) }, { intervalSeconds, moving });
}
