'use client';

import * as messages from '@/language/instrument';
import type { MeasuredBy, MeasuredFigure } from '@/core/records/measured';
import { keepMeasured } from '@/store/measuring';
import { measuredText } from '@/words/measuredText';
import { useRepository } from '../data/repository';
import { writeFaultText } from '../data/writeFault';
import { useToast } from '../ui/toast';
import type { Target } from './targets';

/** Keeps a measured figure, has its shot or mount take it over, and says so. */
export function useKeep(target: Target): (figure: MeasuredFigure, by: MeasuredBy) => void {
  const repository = useRepository();
  const { say, complain } = useToast();
  return (figure, by) => {
    if (!repository) return;
    keepMeasured(repository, target.of, figure, by)
      .then((there) =>
        there
          ? say(messages.keptFor({ what: measuredText(figure), name: target.label }))
          : complain(messages.isGone({ name: target.label })),
      )
      .catch((error: unknown) => complain(writeFaultText(error)));
  };
}
