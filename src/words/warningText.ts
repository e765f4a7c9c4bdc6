import type { Remedy } from '@/core/answer/remedies';
import type { SunInShot } from '@/core/answer/sunInShot';
import type { Warning } from '@/core/answer/warnings';
import { shutterFraction, tenths, trimmed } from '@/core/units/format';
import { clockText } from './lightText';
import { cautionText } from './mountText';
import { densityText, durationText, evText } from './settingText';

/** A warning says what will be seen, how much, and the smallest change that cures it. */
export function warningText(warning: Warning): string {
  switch (warning.code) {
    case 'over':
      return warning.overStops > warning.guardStops
        ? `White sky: the bright end at ${evText(warning.evMax)} is ${tenths(warning.overStops)} stops above the window, ${tenths(warning.overStops - warning.guardStops)} past what the picture bears. ${remedy(warning.remedies)}`
        : `The brightest spots stand ${tenths(warning.overStops)} stops above the window, inside the highlight guard of ${tenths(warning.guardStops)}.`;
    case 'under':
      return `Dark shade: the dark end at ${evText(warning.evMin)} is ${tenths(warning.underStops)} stops below the window. ${remedy(warning.remedies)}`;
    case 'noise':
      return `Grain in the shade: about ISO ${Math.round(warning.isoUsed / 10) * 10}, ${tenths(warning.stopsAboveBase)} stops above base. ${warning.filterStops > 0 ? 'A lighter filter gives each stop back.' : 'A longer shutter or more light gives it back.'}`;
    case 'smear':
      return `Smear pulses on the picture: shake draws ${trimmed(warning.smearPct, 2)} % of the width inside one exposure, ${trimmed(warning.tolerancePct, 2)} % is the tolerance. ${shutterFraction(warning.floorSeconds)} s or shorter cures it.`;
    case 'strobing':
      return `Strobing: steps of ${trimmed(warning.stepPct, 1)} % of the width with blur over only ${trimmed(warning.blurShare * 100, warning.blurShare < 0.1 ? 1 : 0)} % of each. ${shutterFraction(warning.enoughSeconds)} s or longer at the bright end joins them.`;
    case 'stutter':
      return `${warning.broken ? 'Movement falls apart' : 'Stutter'}: ${trimmed(warning.seenFps, 1)} different frames a second are seen on a ${trimmed(warning.timelineFps, 3)} fps timeline. ${warning.offeredFps === null ? `This camera stops at ${trimmed(warning.fastestFps, 1)} fps: less slow motion, or another camera.` : `${trimmed(warning.offeredFps, 1)} fps would show it smoothly.`}`;
    case 'cadence':
      return `Uneven steps: ${trimmed(warning.captureFps, 3)} fps does not divide into ${trimmed(warning.timelineFps, 3)} fps slowed ${trimmed(warning.slowdown, 2)}×. ${warning.evenFps.length > 0 ? `${warning.evenFps.map((fps) => trimmed(fps, 1)).join(', ')} fps would.` : 'No rate of this camera does: set the timeline or the slow motion to fit.'}`;
    case 'flicker':
      return flickerText(warning);
    case 'speed':
      return `The subject blurs over ${trimmed(warning.blurPct, 1)} % of the width; ${trimmed(warning.tolerancePct, 0)} % can still be read. ${shutterFraction(warning.enoughSeconds)} s or shorter, or more distance.`;
    case 'viewNarrow':
      return `${warning.forSubject ? 'The subject does not fit' : 'The ride hardly shows'}: ${trimmed(warning.viewDeg, 0)}° across where ${trimmed(warning.leastDeg, 0)}° are wanted. A wider view${warning.forSubject ? ' or more distance' : ''}.`;
    case 'faceNear':
      return `Soft subject: at ${trimmed(warning.distanceM, 2)} m its points spread over ${trimmed(warning.blurPx, 1)} px of the picture; this lens is sharp from ${trimmed(Math.max(warning.sharpFromM, warning.nearLimitM), 2)} m. ${warning.tooNear ? 'Step back, or take a camera that focuses close.' : 'Come nearer, or take a lens that focuses far.'}`;
    case 'tilt':
      return `Crooked by ${trimmed(warning.tiltDeg, 1)}°. Level the mount, use a level hold, or straighten in the edit, which leaves ${trimmed(warning.keeps * 100, 0)} % of each side.`;
    case 'margin':
      return `The picture shakes: the swing is ${trimmed(warning.swingDeg, 1)}° to either side, ${trimmed(warning.heldDeg, 1)}° are held. ${warning.steadiedInEdit ? 'A wider view or a steadier mount.' : 'A stronger hold or a steadier mount.'}`;
    case 'resolution':
      return `Soft picture: ${trimmed(warning.widthPx, 0)} px usable where ${warning.neededPx} are delivered. A larger size or a wider cut.`;
    case 'bitRate':
      return `Fine texture may break up: ${trimmed(warning.bitsPerPixel, 2)} bits a pixel, ${trimmed(2 ** warning.loss, 1)}× too few. A higher bit rate or a smaller size.`;
    case 'card':
      return `Cut off: the card is full after ${durationText(warning.lastsSeconds)} of ${durationText(warning.recordSeconds)}. ${warning.fitsMbps === null ? `No bit rate of this mode fits; a card of ${Math.ceil(warning.needsGb)} GB does.` : `${trimmed(warning.fitsMbps, 0)} Mbit/s would fit, or a card of ${Math.ceil(warning.needsGb)} GB.`}`;
    case 'flare':
      return flareText(warning.sun, warning.zone);
    case 'safety':
      return cautionText(warning.caution);
  }
}

/** Standing stripes are no beat: they are told as what they look like. */
function flickerText({
  residual,
  pulse,
  safeSeconds,
  safeFps,
}: Extract<Warning, { code: 'flicker' }>): string {
  const share = `${trimmed(residual * 100, 0)} % of the flicker stays`;
  const bands = pulse.bands === null ? '' : `${trimmed(pulse.bands, 1)} bands across the frame`;
  const seen =
    pulse.seen === 'bands'
      ? `${share}, standing still in ${bands}`
      : pulse.seen === 'steady'
        ? `${share} as a steady level`
        : `${share}, beating at ${trimmed(pulse.beatHz, 1)} Hz${bands === '' ? '' : ` and in ${bands}`}`;
  const way =
    safeSeconds !== null
      ? `${shutterFraction(safeSeconds)} s is free of it.`
      : safeFps === null
        ? 'No frame rate of this camera has a shutter that is free of it: other lamps, or none.'
        : `No shutter at this frame rate is free of it; ${trimmed(safeFps, 2)} fps has one.`;
  return `Lamps pulse: ${seen}. ${way}`;
}

function flareText({ frameShare, firstMs, lastMs, worst }: SunInShot, zone: string | undefined): string {
  const when = `${clockText(firstMs, zone)} to ${clockText(lastMs, zone)}`;
  if (worst.where === 'justOutside')
    return `Sun just outside the frame, by ${trimmed(worst.byDeg, 0)}°, ${when}: veil and ghosts on the lens. Shade the lens or turn away a little. Never look at the sun through a lens.`;
  const side = Math.abs(worst.acrossDeg) < 8 ? 'ahead' : worst.acrossDeg > 0 ? 'to the right' : 'to the left';
  return `Sun in the frame for ${trimmed(frameShare * 100, 0)} % of the run, ${when}, ${side} and ${trimmed(worst.upDeg, 0)}° above the middle: flare, and faces before it turn to silhouettes. Turn away, wait, or expose for the silhouette. Never look at the sun through a lens.`;
}

/** A remedy on a line of its own, with the figure that is left. */
export function remedyText(remedy: Remedy): string {
  const left = `leaves ${missed(remedy)}`;
  switch (remedy.code) {
    case 'addFilter':
      return `A filter of ${remedy.stops} stops (${densityText(remedy.stops, 'factor')}) in the bag: ${left}.`;
    case 'letShutterRun':
      return `Let the shutter run to ${shutterFraction(remedy.toSeconds)} s: ${left}.`;
    case 'raiseCeiling':
      return `Raise the ISO ceiling to ${remedy.iso}: ${left}.`;
    case 'splitRun':
      return `Split the run at ${evText(remedy.atEv)} into two shots: each ${left}.`;
    case 'exposeForBright':
      return `Expose for the bright end: ${left}.`;
    case 'exposeForDark':
      return `Expose for the dark end: ${left}.`;
    case 'logColour':
      return `Record log, which bears ${tenths(remedy.guardStops)} stops more light: ${left}.`;
  }
}

function missed({ overStops, underStops }: { overStops: number; underStops: number }): string {
  const parts = [
    overStops > 0.05 ? `${tenths(overStops)} stops white` : '',
    underStops > 0.05 ? `${tenths(underStops)} stops dark` : '',
  ].filter((part) => part !== '');
  return parts.length > 0 ? parts.join(' and ') : 'nothing out';
}

function remedy(remedies: readonly Remedy[]): string {
  const best = [...remedies].sort((a, b) => a.overStops + a.underStops - b.overStops - b.underStops)[0];
  return best ? remedyText(best) : 'Nothing that this camera and bag have leaves less.';
}
