import type { MeasuredRecord, MeasuredFigure } from '@/core/records/measured';
import { tenths, trimmed } from '@/core/units/format';
import * as messages from '@/language/words/measured';
import { dateText } from './lightText';

/** "shakes 38.2 °/s rms, most at 2.1 Hz" */
export function measuredText(figure: MeasuredFigure): string {
  if (figure.is === 'level')
    return messages.level({ tilt: tenths(figure.tiltDeg), pitch: tenths(figure.pitchDeg) });
  const shake = trimmed(figure.degPerSRms, 1);
  return figure.strongestHz === null
    ? messages.shake({ shake })
    : messages.shakeAt({ shake, hz: tenths(figure.strongestHz) });
}

/** Where a measured figure is from: "measured with the phone on 3 Oct over 40 s". */
export function measuredSource({ createdAt, by, figure }: MeasuredRecord, zone: string): string {
  const date = dateText(Date.parse(createdAt), zone);
  const seconds = figure.is === 'shake' ? trimmed(figure.seconds, 0) : null;
  return seconds === null ? messages.source[by]({ date }) : messages.sourceOver[by]({ date, seconds });
}
