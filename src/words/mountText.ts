import type { Caution } from '@/core/vocabulary/cautions';
import type { InTheWay, MountHabits, MountNote } from '@/core/vocabulary/mounts';

/** What is said of mounts: what stands in the view, what to mind, and the usual cautions. */
const THING: Record<InTheWay['what'], string> = {
  hands: 'hands',
  bar: 'handlebar',
  rail: 'the rail',
  bow: 'the bow',
  board: 'the board',
  brim: 'the brim',
  arm: 'the pole',
  head: 'your head and shoulders',
  dash: 'the dashboard',
  bonnet: 'the bonnet',
  rotors: 'rotor arms',
};

export function thingsInTheWay(habits: MountHabits): string[] {
  return [...new Set(habits.inTheWay.map(({ what }) => THING[what]))];
}

export function obstructionText(habits: MountHabits): string {
  const things = thingsInTheWay(habits);
  return things.length === 0 ? 'Nothing stands in the view.' : `In the view: ${things.join(', ')}.`;
}

const NOTES: Record<MountNote, string> = {
  weightPulls: 'Weight pulls: take the lightest camera.',
  weightSwings: 'The weight swings: tighten it, keep it short.',
  straps: 'Straps loosen on the way: check them at breaks.',
  standsProud: 'Stands proud: it can be knocked.',
  buzzes: 'Buzzes fast and finely: a short shutter, or rubber under it.',
  followsGaze: 'Follows where you look.',
  followsBody: 'Follows the body, not the eyes: point it with care.',
  slipsRound: 'Slips round: mark where it sits.',
  spray: 'Spray sits on the lens: wipe before each run.',
  glass: 'Films through glass: clean it, hood the lens against reflections.',
  wind: 'Wind shakes it and drowns the sound.',
  reach: 'Mind its reach near people and wires.',
  trodden: 'Low down: mark it, or it is trodden on.',
  recoil: 'Jolts with every shot: thread lock, and check the zero.',
};

export function mountNoteText(note: MountNote): string {
  return NOTES[note];
}

/** Short cautions. Local rules and licensed practice come first, always. */
const CAUTIONS: Record<Caution, string> = {
  neverOperateDriving: 'Never operate a camera while driving. Set it before, leave it alone.',
  windscreenClear: 'Keep the windscreen clear; local rules say where a camera may sit.',
  secondTether: 'Add a second tether.',
  cleanSuction: 'Clean and dry the surface before the mount goes on.',
  snag: 'A camera on a helmet can snag; use a mount that gives way, and follow local rules.',
  letGoInFall: 'Let a bite mount go in a fall.',
  droneRules: 'Drone rules and line of sight come first; fly only where and as you are allowed.',
  sealOpen:
    'This filter goes on in place of the cover glass: the camera is no longer sealed. Keep it away from water and grit.',
  waterSeals: 'Check seals and doors; a removed lens cover ends the waterproofing.',
  jumpImpacts: 'Impacts work seals and mounts loose: check them between runs.',
  eyeProtection: 'Wear eye protection where projectiles fly, and follow the range rules.',
  ropeFree: 'Keep camera, straps and tether clear of ropes and hardware.',
  hotOnSkin: 'A camera running hot can burn bare skin: keep cloth between.',
  othersFilmed: 'Film people who agreed to it.',
};

export function cautionText(caution: Caution): string {
  return CAUTIONS[caution];
}
