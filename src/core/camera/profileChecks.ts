import type { Colour } from '../vocabulary/modes';
import type { z } from 'zod';

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
  const wrong = (path: PropertyKey[], message: string): void => {
    context.addIssue({ code: 'custom', path, message });
  };
  for (const list of ['resolutions', 'views'] as const)
    profile[list].forEach(({ id }, index) => {
      if (profile[list].findIndex((other) => other.id === id) < index)
        wrong([list, index, 'id'], `"${id}" is described twice`);
    });
  namedOnly(profile.rules, (index) => ['rules', index], profile, wrong);
  namedOnly(
    profile.limits.map(({ where }) => where),
    (index) => ['limits', index, 'where'],
    profile,
    wrong,
  );
  if (profile.standardView !== undefined && !profile.views.some(({ id }) => id === profile.standardView))
    wrong(['standardView'], `"${profile.standardView}" is not described under views`);
  const fastest = Math.max(...profile.rules.flatMap((rule) => rule.frameRates));
  if (profile.shutter.shortestSeconds > 1 / (2 * fastest))
    wrong(
      ['shutter', 'shortestSeconds'],
      `expected at most half a frame of the fastest rate, 1/${2 * fastest} s`,
    );
  profile.rules.forEach((rule, index) => {
    rule.colours.forEach((colour, place) => {
      if (!profile.iso[colour])
        wrong(['rules', index, 'colours', place], `"${colour}" has no range under iso`);
    });
  });
  const { warnC, screenOffC, shutdownC } = profile.heat;
  if (warnC > screenOffC || screenOffC > shutdownC)
    wrong(['heat', 'shutdownC'], 'expected warnC, screenOffC and shutdownC in rising order');
}

function namedOnly(
  entries: readonly Names[],
  place: (index: number) => PropertyKey[],
  profile: Parts,
  wrong: (path: PropertyKey[], message: string) => void,
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
          wrong([...place(index), key, at], `"${value}" is not described under ${key}`);
      });
  });
}
