import type { MatchItem } from '@/core/together/matchSheet';
import { trimmed } from '@/core/units/format';
import { COLOUR_LABEL } from './labels';
import { offsetText } from './settingText';

/** A line of the match sheet: what each camera has, and what to do where they differ. */
export function matchText(item: MatchItem): { name: string; values: string[]; so: string } {
  const so = (alike: string, differ: string): string => (item.same ? alike : differ);
  switch (item.what) {
    case 'family':
      return {
        name: 'Frame-rate family',
        values: item.fps.map((fps, at) => `${trimmed(fps, 3)} fps (${item.values[at] ?? 'none'})`),
        so: so('one family', 'pin one family: frames of two never fall together'),
      };
    case 'shownAngle':
      return {
        name: 'Shutter as shown',
        values: item.degrees.map((degrees) => `${trimmed(degrees, 0)}°`),
        so: so(
          'moves alike',
          'one looks choppy beside the other: give both one angle, or add blur to the shorter',
        ),
      };
    case 'shutterMode':
      return {
        name: 'Shutter held',
        values: item.values.map((value) => (value === 'auto' ? 'runs' : 'fixed')),
        so: so('alike', 'hold both: a running one changes its look on the way'),
      };
    case 'whiteBalance':
      return {
        name: 'White balance',
        values: item.values.map((value) => (value === 'auto' ? 'automatic' : `${value} K`)),
        so: so('locked alike', 'lock one value on all: automatics drift apart'),
      };
    case 'colour':
      return {
        name: 'Colour',
        values: item.values.map((value) => COLOUR_LABEL[value]),
        so: so('alike', 'record one colour on all'),
      };
    case 'exposureOffset':
      return {
        name: 'Exposure offset',
        values: item.stops.map((stops) => `${offsetText(stops)} EV`),
        so: so('alike', 'set one offset on all'),
      };
  }
}

/** What no setting does: said every time. */
export const ALIGN_LINES = [
  'Set all clocks to one time, to the second.',
  'Give each camera its own file-name prefix.',
  'Clap once, or flash a light, where all cameras see and hear it.',
] as const;
