import * as messages from '@/language/words/match';
import type { MatchItem, MayDiffer } from '@/core/together/matchSheet';
import { trimmed } from '@/core/units/format';
import { COLOUR_LABEL, SETTING_LABEL } from './labels';
import { offsetText } from './settingText';

/** A line of the match sheet: what each camera has, and what to do where they differ. */
export function matchText(item: MatchItem): { name: string; values: string[]; so: string } {
  const so = (alike: string, differ: string): string => (item.same ? alike : differ);
  switch (item.what) {
    case 'family':
      return {
        name: messages.frameRateFamily,
        values: item.fps.map((fps, at) =>
          messages.fps({ fps: trimmed(fps, 3), at: item.values[at] ?? messages.none }),
        ),
        so: so(messages.oneFamily, messages.pinOneFamilyFramesOf),
      };
    case 'shownAngle':
      return {
        name: messages.shutterAsShown,
        values: item.degrees.map((degrees) => `${trimmed(degrees, 0)}°`),
        so: so(messages.movesAlike, messages.oneLooksChoppyBesideThe),
      };
    case 'shutterMode':
      return {
        name: messages.shutterHeld,
        values: item.values.map((value) => (value === 'auto' ? messages.runs : messages.fixed)),
        so: so(messages.alike, messages.holdBothARunningOne),
      };
    case 'whiteBalance':
      return {
        name: messages.whiteBalance,
        values: item.values.map((value) =>
          value === 'auto' ? messages.automatic : messages.value({ value }),
        ),
        so: so(messages.lockedAlike, messages.lockOneValueOnAll),
      };
    case 'colour':
      return {
        name: messages.colour,
        values: item.values.map((value) => COLOUR_LABEL[value]),
        so: so(messages.alike, messages.recordOneColourOnAll),
      };
    case 'exposureOffset':
      return {
        name: messages.exposureOffset,
        values: item.stops.map((stops) => messages.stops({ stops: offsetText(stops) })),
        so: so(messages.alike, messages.setOneOffsetOnAll),
      };
  }
}

/** A line of what may differ: how it is seen, and what helps. */
export function mayDifferText(item: MayDiffer): { name: string; so: string } {
  return {
    name: SETTING_LABEL[item.what],
    so: item.same ? messages.alike : messages.differs[item.what],
  };
}

/** What no setting does: said every time. A clap lines up what runs; a time-lapse neither hears nor catches it. */
export function alignLines(withLapse: boolean): string[] {
  const lines = [messages.setAllClocksToOne, messages.giveEachCameraItsOwn];
  return withLapse ? lines : [...lines, messages.clapOnceOrFlashA];
}
