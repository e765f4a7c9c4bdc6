import type { Colour } from '../vocabulary/modes';
import type { z } from 'zod';
import { finds } from '../schema/fault';
import type { Problem } from '../schema/fault';

/** What the parts of a profile must keep to each other: a rule may only speak of what the profile describes. */
interface Names {
  resolutions?: string[] | undefined;
  views?: string[] | undefined;
  stabilizations?: string[] | undefined;
}

interface Parts {
  iso: Partial<Record<Colour, unknown>>;
  shutter: { shortestSeconds: number };
  heat: { warnC: number; screenOffC: number; shutdownC: number };
  standardView?: string | undefined;
  resolutions: readonly { id: string }[];
  views: readonly { id: string }[];
  stabilizations: Record<string, unknown>;
  rules: readonly (Names & { frameRates: number[]; colours: Colour[] })[];
  limits: readonly { where: Names }[];
}

export function crossCheck(profile: Parts, context: z.RefinementCtx): void {
  const wrong = (path: PropertyKey[], problem: Problem): void => {
    context.addIssue({ code: 'custom', ...finds(problem, path) });
  };
  for (const list of ['resolutions', 'views'] as const)
    profile[list].forEach(({ id }, index) => {
      if (profile[list].findIndex((other) => other.id === id) < index)
        wrong([list, index, 'id'], { code: 'describedTwice', id });
    });
  namedOnly(profile.rules, (index) => ['rules', index], profile, wrong);
  namedOnly(
    profile.limits.map(({ where }) => where),
    (index) => ['limits', index, 'where'],
    profile,
    wrong,
  );
  if (profile.standardView !== undefined && !profile.views.some(({ id }) => id === profile.standardView))
    wrong(['standardView'], { code: 'notDescribed', id: profile.standardView, under: 'views' });
  const fastest = Math.max(...profile.rules.flatMap((rule) => rule.frameRates));
  if (profile.shutter.shortestSeconds > 1 / (2 * fastest))
    wrong(['shutter', 'shortestSeconds'], { code: 'shortestShutter', fastestFps: fastest });
  profile.rules.forEach((rule, index) => {
    rule.colours.forEach((colour, place) => {
      if (!profile.iso[colour]) wrong(['rules', index, 'colours', place], { code: 'noIsoRange', id: colour });
    });
  });
  const { warnC, screenOffC, shutdownC } = profile.heat;
  if (warnC > screenOffC || screenOffC > shutdownC)
    wrong(['heat', 'shutdownC'], { code: 'wanted', what: 'heatInOrder', got: shutdownC });
}

function namedOnly(
  entries: readonly Names[],
  place: (index: number) => PropertyKey[],
  profile: Parts,
  wrong: (path: PropertyKey[], problem: Problem) => void,
): void {
  const known: Record<keyof Names, Set<string>> = {
    resolutions: new Set(profile.resolutions.map(({ id }) => id)),
    views: new Set(profile.views.map(({ id }) => id)),
    stabilizations: new Set(['off', ...Object.keys(profile.stabilizations)]),
  };
  entries.forEach((entry, index) => {
    for (const key of ['resolutions', 'views', 'stabilizations'] as const)
      (entry[key] ?? []).forEach((value, at) => {
        if (!known[key].has(value))
          wrong([...place(index), key, at], { code: 'notDescribed', id: value, under: key });
      });
  });
}
