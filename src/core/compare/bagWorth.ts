import { wearable } from '../filters/bag';
import { polarizerView } from '../filters/polarizer';
import type { PolarizerView } from '../filters/polarizer';
import { paneAt } from '../filters/mirrored';
import type { Pane } from '../filters/mirrored';
import { beamShareOf, skyAt } from '../light/sky';
import { sunPosition } from '../light/sun/position';
import { USUAL_SUN } from '../light/sun/sunLight';
import type { Mode } from '../camera/modeTable';
import type { Brief } from '../brief/brief';
import { aimAt } from '../answer/sunInShot';
import type { FilterTry } from './filterChoice';

/**
 * What is said of a filter that does more than darken: worn or not, what it costs against the answer, and for a
 * polarizer what it would do. Loss, stops, shares 0…1.
 */
export type BagWord = {
  id: string;
  worn: boolean;
  /** Loss of the best answer with it alone before the lens, less the answer's; `null`: none. */
  lossOver: number | null;
} & (
  | { what: 'variable' }
  | {
      what: 'polarizer';
      /** Of sky and water in the middle of the run; `null` where nobody said how the sun stands to the camera. */
      view: PolarizerView | null;
      pane: Pane | null;
      worth: boolean;
    }
);

/** The polarizer of a brief at an instant; `null` without a sun over the horizon or a direction of the camera. */
export function polarizerIn(brief: Brief, mode: Mode, atMs: number): PolarizerView | null {
  const { light } = brief;
  const aim = aimAt(brief, mode, atMs);
  if (light.kind !== 'sun' || !aim) return null;
  const sun = sunPosition(light, atMs);
  if (sun.apparentAltitudeDeg <= 0) return null;
  const sky = skyAt(light.sky ?? USUAL_SUN.sky, light.clouds, atMs);
  return polarizerView(sun, aim, beamShareOf(sky.likely), light.ground === 'water');
}

/** A word on every polarizer and variable filter of the bag, from the tries of all its filters. */
export function bagWords(brief: Brief, mode: Mode, tries: readonly FilterTry[]): BagWord[] {
  const { light, mount } = brief;
  const answer = tries.find(({ chosen }) => chosen);
  const middle = light.kind === 'sun' ? (Date.parse(light.from) + Date.parse(light.to)) / 2 : null;
  return wearable(brief).flatMap(({ id, kind }): BagWord[] => {
    if (kind !== 'polarizer' && kind !== 'variable') return [];
    const alone = tries.find(({ filter }) => filter.ids.length === 1 && filter.ids[0] === id);
    const common = {
      id,
      worn: answer?.filter.ids.includes(id) ?? false,
      lossOver: alone && answer ? alone.score - answer.score : null,
    };
    if (kind === 'variable') return [{ what: 'variable', ...common }];
    const view = middle === null ? null : polarizerIn(brief, mode, middle);
    const pane = mount.glassDeg === null ? null : paneAt(mount.glassDeg);
    const worth = pane?.worth === true || view?.verdict === 'sky' || view?.verdict === 'water';
    return [{ what: 'polarizer', ...common, view, pane, worth }];
  });
}
