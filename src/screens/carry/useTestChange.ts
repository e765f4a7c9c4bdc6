'use client';

import * as messages from '@/language/carry';
import { withChange } from '@/core/inspect/nextTime';
import { shotOfPart, withPart } from '@/core/records/secondAngles';
import type { Pins } from '@/core/records/settings';
import { useRepository } from '../data/repository';
import { useToast } from '../ui/toast';

/** Puts what a test clip asks for on the card of a shot: it is pinned there, and undo takes it off again. */
export function useTestChange(shotId: string, part: number): (change: Pins) => void {
  const repository = useRepository();
  const { say } = useToast();
  return (change) => {
    void repository
      ?.changeShot(shotId, messages.takeAChange, (shot) =>
        withPart(shot, part, withChange(shotOfPart(shot, part), change)),
      )
      .then(() => say(messages.isOnTheCard));
  };
}
