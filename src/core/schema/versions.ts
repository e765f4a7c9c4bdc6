/** Version of all files that are written; earlier ones are brought up to date by the migrations below. */
export const FILE_VERSION = 3;

/**
 * One number counts the versions of all files and records: version 1, and whatever each later one changed. What is read
 * is brought up to date before it is checked; what is kept, when the database opens. A file of a later version is refused
 * by its schema.
 */
interface Migration {
  to: number;
  /** What changed, by intent. */
  name: string;
  /** Brings one object up to date, what is inside it apart; gives back the same object where nothing changes. */
  up: (own: Plain) => Plain;
}

type Plain = Readonly<Record<string, unknown>>;

export const MIGRATIONS: readonly Migration[] = [
  {
    to: 2,
    name: 'the stabilization "boost" is called "strong"',
    up: (own) => {
      const { stabilization, stabilizations } = own;
      if (stabilization === 'boost') return { ...own, stabilization: 'strong' };
      if (Array.isArray(stabilizations) && stabilizations.includes('boost'))
        return { ...own, stabilizations: stabilizations.map(strongForBoost) };
      if (isPlain(stabilizations) && 'boost' in stabilizations) {
        const { boost, ...others } = stabilizations;
        return { ...own, stabilizations: { ...others, strong: boost } };
      }
      return own;
    },
  },
  {
    to: 3,
    name: 'a clip keeps its findings, and why it stayed unread, as codes and not as sentences',
    up: (own) => {
      const { kind, measured } = own;
      if (kind !== 'lynxeye/clip' || !isPlain(measured)) return own;
      const { findings, unread, container, pictures } = measured;
      const noFrames = isPlain(container) && container.frames === 0;
      return {
        ...own,
        measured: {
          ...measured,
          findings: Array.isArray(findings) ? findings.map(withoutText) : findings,
          unread:
            typeof unread !== 'string'
              ? unread
              : noFrames
                ? 'noFrames'
                : pictures === null
                  ? 'notDecoded'
                  : 'cutShort',
        },
      };
    },
  },
];

/** The word of version 1, in files that carry no version: sheets and codes. */
export function strongForBoost<T>(word: T): T | 'strong' {
  return word === 'boost' ? 'strong' : word;
}

/** Files lie no deeper than this; what does is left for its schema to refuse. */
const DEEPEST = 40;

/**
 * A file or record with everything in it at the version of today. Whatever says no kind is of the version of what it lies
 * in. The same object comes back where nothing was older. Never throws.
 */
export function upToDate(input: unknown): unknown {
  return brought(input, FILE_VERSION, 0);
}

function brought(input: unknown, around: number, depth: number): unknown {
  if (depth > DEEPEST || typeof input !== 'object' || input === null) return input;
  if (Array.isArray(input)) {
    const list: readonly unknown[] = input;
    const items = list.map((one) => brought(one, around, depth + 1));
    return items.some((one, at) => one !== list[at]) ? items : input;
  }
  const told = input as Plain;
  const version = isOurs(told) ? told.version : around;
  let own: Plain = told;
  for (const { to, up } of MIGRATIONS) if (to > version) own = up(own);
  if (isOurs(own) && version < FILE_VERSION) own = { ...own, version: FILE_VERSION };
  const inside = Object.entries(own).map(([key, value]): [string, unknown] => [
    key,
    brought(value, version, depth + 1),
  ]);
  return inside.some(([key, value]) => value !== own[key]) ? Object.fromEntries(inside) : own;
}

function isOurs(own: Plain): own is Plain & { version: number } {
  const { kind, version } = own;
  return (
    typeof kind === 'string' &&
    kind.startsWith('lynxeye/') &&
    Number.isInteger(version) &&
    Number(version) >= 1
  );
}

function withoutText(finding: unknown): unknown {
  if (!isPlain(finding)) return finding;
  const { text, ...others } = finding;
  return typeof text === 'string' ? others : finding;
}

function isPlain(value: unknown): value is Plain {
  return typeof value === 'object' && value !== null && !Array.isArray(value);
}
