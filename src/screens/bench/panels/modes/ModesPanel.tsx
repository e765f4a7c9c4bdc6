'use client';

import * as messages from '@/language/bench/modes';
import type { ReactNode } from 'react';
import { ownPins } from '@/core/brief/brief';
import type { Brief } from '@/core/brief/brief';
import { without } from '@/core/units/without';
import { ModeMap } from '../../../ui/modeMap/ModeMap';
import { otherPins, pinsOf, wishesOf } from '../../answer/wishPins';
import type { ShotEditing } from '../../../data/useShotEditing';

/** The camera's whole map with this shot's pins as wishes: what is picked here is pinned, and the rest solved round it. */
export function ModesPanel({ brief, editing }: { brief: Brief; editing: ShotEditing }): ReactNode {
  return (
    <section aria-labelledby="modes-title">
      <h2 id="modes-title">{messages.whatCanDo({ camera: brief.camera.name })}</h2>
      <ModeMap
        profile={brief.camera}
        wishes={wishesOf(ownPins(brief), brief.camera)}
        onWishes={(wishes) =>
          editing.commit(messages.pinOnTheModeMap, (shot) => {
            const pins = { ...otherPins(shot.pins ?? {}), ...pinsOf(wishes, brief.camera) };
            const bare = without(shot, 'pins');
            return Object.keys(pins).length === 0 ? bare : { ...bare, pins };
          })
        }
      />
    </section>
  );
}
