'use client';

import { useMemo } from 'react';
import { briefOf } from '@/core/brief/brief';
import type { Brief } from '@/core/brief/brief';
import { solve } from '@/core/answer/solve';
import type { Outcome } from '@/core/answer/solve';
import { lastingAs } from '@/core/day/schedule';
import { shotOfPart } from '@/core/records/secondAngles';
import type { Shot } from '@/core/records/shot';
import { movedTo } from '@/formats/clock';
import { partIn, useInDay } from './inDay';
import type { InDay } from './inDay';
import { useWithOwn } from './learned';
import { inPlanOf } from '@/core/day/inPlan';

/** Parts of a shot, solved. */
export interface CarriedPart {
  /** By itself, for whoever solves it anew with others. */
  brief: Brief;
  /** As it is carried: as its day has it, where it stands in one. */
  outcome: Outcome;
}

export function useCarriedParts(shot: Shot, parts: readonly number[]): CarriedPart[] {
  const inDay = useInDay();
  const asked = parts.join();
  const own = useWithOwn(shot);
  return useMemo(
    () => asked.split(',').map((part) => carriedPart(own, Number(part), inDay)),
    [own, asked, inDay],
  );
}

function carriedPart(whole: Shot, part: number, inDay: InDay | null): CarriedPart {
  const dayPart = inDay && partIn(inDay, part);
  if (!dayPart) {
    const { brief } = briefOf(shotOfPart(whole, part));
    return { brief, outcome: solve(brief) };
  }
  const { outing, entry } = inDay.standing;
  const shot = movedTo(shotOfPart(lastingAs(whole, entry), part), dayPart.fromMs, outing.zone);
  const { held, mainsHz } = inPlanOf(dayPart, dayPart.answer);
  const { brief } = briefOf(shot, { mainsHz });
  const outcome = solve(held ? briefOf(shot, { held, mainsHz }).brief : brief);
  // What the day held a moment ago may be in the way of what was just set.
  return { brief, outcome: held && !outcome.solved ? solve(brief) : outcome };
}
