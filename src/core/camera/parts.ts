import type { CameraProfile } from './profile';

/** A profile in which a size or a view has another name, wherever rules and limits speak of it. */
export function renamedPart(
  profile: CameraProfile,
  part: 'resolutions' | 'views',
  from: string,
  to: string,
): CameraProfile {
  const renamed = (ids: readonly string[]): string[] => ids.map((id) => (id === from ? to : id));
  const described =
    part === 'views'
      ? { views: profile.views.map((one) => (one.id === from ? { ...one, id: to } : one)) }
      : { resolutions: profile.resolutions.map((one) => (one.id === from ? { ...one, id: to } : one)) };
  return {
    ...profile,
    ...described,
    ...(part === 'views' && profile.standardView === from ? { standardView: to } : {}),
    rules: profile.rules.map((rule) => ({ ...rule, [part]: renamed(rule[part]) })),
    limits: profile.limits.map(({ says, where }) => {
      const named = where[part];
      return { says, where: named ? { ...where, [part]: renamed(named) } : where };
    }),
  };
}

/** A part goes, and with it every mention; a rule that named nothing else goes too. */
export function withoutPart(
  profile: CameraProfile,
  part: 'views' | 'resolutions',
  id: string,
): CameraProfile {
  const left = (ids: readonly string[]): string[] => ids.filter((one) => one !== id);
  return {
    ...profile,
    ...(part === 'views'
      ? { views: profile.views.filter((one) => one.id !== id) }
      : { resolutions: profile.resolutions.filter((one) => one.id !== id) }),
    rules: profile.rules
      .map((rule) => ({ ...rule, [part]: left(rule[part]) }))
      .filter((rule) => rule[part].length > 0),
    limits: profile.limits
      .map(({ says, where }) => {
        const named = where[part];
        return { says, where: named ? { ...where, [part]: left(named) } : where };
      })
      .filter(({ where }) => where[part]?.length !== 0),
  };
}
