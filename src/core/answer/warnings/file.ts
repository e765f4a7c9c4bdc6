import { cardUse, plainBitsPerPixel, writtenMbps } from '../../camera/card';
import { worthAWarning } from '../../loss/table';
import { encodingsKept } from '../../search/allowedModes';
import { severityOf, warning } from './warning';

/** The file on the card. Mbit/s, seconds, gigabytes. */

const bitRate = warning<'bitRate', { bitsPerPixel: number; loss: number }>('bitRate', ({ candidate, loss }) =>
  worthAWarning('bitRate', loss)
    ? {
        severity: severityOf(loss.bitRate),
        bitsPerPixel: plainBitsPerPixel(candidate.mode, candidate.encoding.bitRateMbps),
        loss: loss.bitRate,
      }
    : null,
);

interface CardFull {
  use: number;
  lastsSeconds: number;
  recordSeconds: number;
  /** The highest bit rate that this camera has in this mode and that fits; `null` where none does. */
  fitsMbps: number | null;
  needsGb: number;
}

const card = warning<'card', CardFull>('card', ({ space, candidate, loss }) => {
  if (!worthAWarning('card', loss)) return null;
  const { camera, limits } = space.brief;
  const { recordSeconds, cardGb } = limits;
  const useAt = (rate: number): number => cardUse(writtenMbps(rate, camera), recordSeconds, cardGb);
  const use = useAt(candidate.encoding.bitRateMbps);
  const fitting = encodingsKept(space.brief, candidate.mode)
    .map(({ bitRateMbps }) => bitRateMbps)
    .filter((rate) => useAt(rate) <= 1);
  return {
    severity: 'stop',
    use,
    lastsSeconds: recordSeconds / use,
    recordSeconds,
    fitsMbps: fitting.length > 0 ? Math.max(...fitting) : null,
    needsGb: cardGb * use,
  };
});

export const FILE_WARNINGS = [bitRate, card] as const;
