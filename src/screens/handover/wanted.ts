import * as messages from '@/language/handover';
import type { Outing } from '@/core/records/outing';
import type { ShotRecord } from '@/core/records/shotRecord';
import { wantedKey } from '@/formats/handover/wanted';
import type { WantedRecords } from '@/formats/handover/wanted';
import { shotName } from '@/words/shotName';

export interface Offer {
  key: string;
  label: string;
  wanted: WantedRecords;
}

/** Everything that can be handed over: outings first, the ones put away last. */
export function offersOf(outings: readonly Outing[], shots: readonly ShotRecord[]): Offer[] {
  const offer = (wanted: WantedRecords, label: string): Offer => ({ key: wantedKey(wanted), label, wanted });
  const inOrder = [...outings].sort((one, other) => Number(one.archived) - Number(other.archived));
  return [
    ...inOrder.map(({ id, name }) => offer({ what: 'outing', id }, messages.outingCalled({ name }))),
    offer({ what: 'kit' }, messages.theKit),
    offer({ what: 'everything' }, messages.everything),
    ...shots.map(({ id, shot }) =>
      offer({ what: 'shot', id }, messages.shotCalled({ name: shotName(shot) })),
    ),
  ];
}
