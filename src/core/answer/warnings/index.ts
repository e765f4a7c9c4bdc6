import { cautionsFor } from '../../motion/cautions';
import type { Caution } from '../../vocabulary/cautions';
import { EXPOSURE_WARNINGS } from './exposure';
import { FILE_WARNINGS } from './file';
import { FRAME_WARNINGS } from './frame';
import { MOTION_WARNINGS } from './motion';
import type { JudgedAnswer, Severity, WarningKind } from './warning';

/** Every warning, chapter by chapter. A new one is an entry of its chapter's list, and its words. */
const WARNINGS = [...EXPOSURE_WARNINGS, ...MOTION_WARNINGS, ...FRAME_WARNINGS, ...FILE_WARNINGS] as const;

type Found<Kind> =
  Kind extends WarningKind<infer Code, infer Figures> ? { code: Code; severity: Severity } & Figures : never;

/** A usual caution of safety, which no figure brings about. */
interface SafetyWarning {
  code: 'safety';
  severity: Severity;
  caution: Caution;
}

export type Warning = Found<(typeof WARNINGS)[number]> | SafetyWarning;

const ORDER: readonly Severity[] = ['stop', 'caution', 'note'];

/** All warnings, the gravest first; cautions of safety last. */
export function warningsOf(seen: JudgedAnswer): Warning[] {
  const found = WARNINGS.flatMap(({ code, find }): Warning[] => {
    const figures = find(seen);
    // Figures may be worked out when they are read, so they are not copied.
    return figures === null ? [] : [Object.assign(figures, { code }) as Warning];
  }).sort((a, b) => ORDER.indexOf(a.severity) - ORDER.indexOf(b.severity));
  return [...found, ...safetyOf(seen)];
}

function safetyOf({ space, candidate }: JudgedAnswer): SafetyWarning[] {
  const { mount, filters } = space.brief;
  const usual = cautionsFor(mount.kind, mount.activity).map((caution): SafetyWarning => ({
    code: 'safety',
    severity: 'note',
    caution,
  }));
  const opened = candidate.filter.ids.some((id) => filters.find((filter) => filter.id === id)?.opensSeal);
  return opened ? [{ code: 'safety', severity: 'caution', caution: 'sealOpen' }, ...usual] : usual;
}

export type { Severity } from './warning';
