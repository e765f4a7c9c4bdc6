import * as messages from '@/language/bench/brief';
import type { Brief } from '@/core/brief/brief';
import type { Shot } from '@/core/records/shot';
import { withKey } from './wordControls';
import type { SentencePart } from './wordControls';

/** Panes as they are met: a window, aslant, a windscreen; 56° is where a polarizer takes nearly all. */
const PANES = [0, 30, 45, 56, 60, 75] as const;
const paneAngles = ({ mount: { glassDeg } }: Brief): number[] =>
  [...new Set([...PANES, ...(glassDeg === null ? [] : [glassDeg])])].sort((a, b) => a - b);

const CUT_NAME: Readonly<Record<number, string>> = {
  0: messages.ahead,
  90: messages.theRight,
  180: messages.back,
  [-90]: messages.theLeft,
};
const cutWays = ({ mount: { cutDeg } }: Brief): number[] => [...new Set([0, 90, 180, -90, cutDeg])];

/** No pane at all is a value of its own, which leaving the word out is not. */
const withValue = (shot: Shot, key: 'glassDeg', value: number | null): Shot => ({
  ...shot,
  mount: { ...shot.mount, [key]: value },
});

/** What stands in front of the lens, and which way a picture cut out of a sphere looks. */
export function inFront(brief: Brief): SentencePart[] {
  return [
    {
      id: 'glassDeg',
      name: messages.glass,
      path: 'mount.glassDeg',
      kind: 'choice',
      options: [
        { value: 'none', label: messages.noGlass },
        ...paneAngles(brief).map((angle) => ({
          value: String(angle),
          label: angle === 0 ? messages.paneSquare : messages.paneAt({ angle }),
        })),
      ],
      value: (b) => String(b.mount.glassDeg ?? 'none'),
      set: (shot, value) =>
        value === null
          ? withKey(shot, 'mount', 'glassDeg', null)
          : withValue(shot, 'glassDeg', value === 'none' ? null : Number(value)),
    },
    ...(brief.camera.views.some(({ fromSphere }) => fromSphere)
      ? [
          messages.cutTowards,
          {
            id: 'cutDeg',
            name: messages.cut,
            path: 'mount.cutDeg',
            kind: 'choice' as const,
            options: cutWays(brief).map((way) => ({
              value: String(way),
              label: CUT_NAME[way] ?? messages.degreesRight({ way }),
            })),
            value: (b: Brief) => String(b.mount.cutDeg),
            set: (shot: Shot, value: string | null) =>
              withKey(shot, 'mount', 'cutDeg', value === null ? null : Number(value)),
          },
        ]
      : []),
  ];
}
