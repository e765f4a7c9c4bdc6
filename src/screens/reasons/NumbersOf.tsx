'use client';

import { useMemo } from 'react';
import type { ReactNode } from 'react';
import type { Solution } from '@/core/answer/solve';
import { helmetRide } from '@/core/explain/helmet';
import type { ShotRecord } from '@/core/records/shotRecord';
import { partIn, useStands } from '../data/inDay';
import type { Stands } from '../data/inDay';
import { inPlanOf } from '@/core/day/inPlan';
import { useAnswer } from '../data/useAnswer';
import { useSame } from '../data/useSame';
import { useWorkedDay } from '../data/workedDay';

/** The figures of a shot, as its day answers it; those of a made-up ride where there is no shot, or no answer. */
export interface Numbers {
  solution: Solution;
  /** The shot has no answer of its own. */
  instead: boolean;
}

type Told = (numbers: Numbers) => ReactNode;

export function NumbersOf({ record, children }: { record: ShotRecord | null; children: Told }): ReactNode {
  if (!record) return children({ solution: helmetRide(), instead: false });
  return <OfShot record={record}>{children}</OfShot>;
}

function OfShot({ record, children }: { record: ShotRecord; children: Told }): ReactNode {
  const stands = useStands(record.id);
  if (stands === undefined) return null;
  if (stands === null) return <Alone record={record}>{children}</Alone>;
  return (
    <InItsDay record={record} stands={stands}>
      {children}
    </InItsDay>
  );
}

function Alone({ record, children }: { record: ShotRecord; children: Told }): ReactNode {
  return children(useNumbers(useAnswer(record.shot).solution));
}

function InItsDay({
  record,
  stands: { standing, all, open },
  children,
}: {
  record: ShotRecord;
  stands: Stands;
  children: Told;
}): ReactNode {
  const worked = useWorkedDay(open);
  const part = partIn({ standing, all, worked }, 0);
  const { solution } = useAnswer(
    part?.shot ?? record.shot,
    useSame(part ? inPlanOf(part, part.answer) : undefined),
  );
  return children(useNumbers(solution));
}

function useNumbers(solution: Solution | null): Numbers {
  return useMemo(() => ({ solution: solution ?? helmetRide(), instead: solution === null }), [solution]);
}
