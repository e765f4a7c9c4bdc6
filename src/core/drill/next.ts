import { createEmptyCard, fsrs, generatorParameters, Rating } from 'ts-fsrs';
import type { Card, Grade } from 'ts-fsrs';
import { briefOf } from '../brief/brief';
import type { LogEntry } from '../records/logEntry';
import type { Verdict } from '../vocabulary/verdicts';
import { isPlainVideo } from '../records/filmedAs';
import type { Outing } from '../records/outing';
import { DRILL_KINDS } from '../vocabulary/drills';
import type { DrillSource, Tried } from '../records/practised';
import type { DrillKind } from '../vocabulary/drills';
import type { Shot } from '../records/shot';
import type { ShotRecord } from '../records/shotRecord';
import { named } from '../units/seededRandom';
import { start } from '../units/estimate';
import type { OwnWeights } from '../vocabulary/schools';
import type { Drill } from './drill';
import { ask, drawing, drawnDrill } from './made';

/** One thing to get better at: a kind of drill, on made-up shots or on one of the person's own. */
export interface Skill {
  kind: DrillKind;
  from: DrillSource;
  /** `null` where the shot is made up. */
  own: { id: string; name: string | null; shot: Shot } | null;
}

/** From which loss over the best an answer counts how; and within which time a good one came easily. */
const RATED = {
  again: start(1, 'what is just noticed would have come back'),
  hard: start(0.3, 'a third of what is just noticed'),
  easySeconds: start(20, 'who has to reckon takes longer'),
};
/** Shots of one planned day, and recordings that came back wrong, that are asked about. */
const MOST_PLANNED = 8;
const MOST_MISSES = 20;

const scheduler = fsrs(generatorParameters({ enable_fuzz: false, enable_short_term: true }));

/** What a recording that came back wrong asks for. */
const ASKED_OF: Partial<Record<Verdict, DrillKind>> = {
  tooDark: 'filter',
  whiteSky: 'filter',
  noisy: 'filter',
  smear: 'shutter',
  strobing: 'shutter',
  stutter: 'rate',
};

/** All there is to practise: what came back wrong, what is planned next, and every kind on made-up shots. */
export function skillsOf(
  log: readonly LogEntry[],
  outings: readonly Outing[],
  shots: ReadonlyMap<string, ShotRecord>,
  today: string,
): Skill[] {
  return [...missedIn(log), ...plannedNext(outings, shots, today), ...drawnSkills()];
}

export function drawnSkills(): Skill[] {
  return DRILL_KINDS.map((kind): Skill => ({ kind, from: 'drawn', own: null }));
}

function missedIn(log: readonly LogEntry[]): Skill[] {
  const newestFirst = [...log].sort((a, b) => b.at.localeCompare(a.at));
  const skills = newestFirst.flatMap((entry) => {
    if (!isPlainVideo(entry.shot)) return [];
    const kinds = new Set(entry.verdicts.flatMap((verdict) => ASKED_OF[verdict] ?? []));
    if (entry.cutReason === 'cardFull' || entry.cutReason === 'batteryFlat') kinds.add('lasts');
    const own = { id: entry.id, name: entry.shotName, shot: entry.shot };
    return [...kinds].map((kind): Skill => ({ kind, from: 'miss', own }));
  });
  return skills.slice(0, MOST_MISSES);
}

/** Of the first planned day that is not over, the shots in their order. */
function plannedNext(
  outings: readonly Outing[],
  shots: ReadonlyMap<string, ShotRecord>,
  today: string,
): Skill[] {
  const [next] = outings
    .flatMap(({ days }) => days)
    .filter(({ date }) => date >= today)
    .sort((a, b) => a.date.localeCompare(b.date));
  const records = (next?.entries ?? []).flatMap((entry) =>
    entry.what === 'shot' ? (shots.get(entry.shotId) ?? []) : [],
  );
  return records
    .filter(({ shot }) => isPlainVideo(shot))
    .slice(0, MOST_PLANNED)
    .flatMap(({ id, shot }) => {
      const own = { id, name: shot.name ?? null, shot };
      const kinds: DrillKind[] = ['filter', 'shutter'];
      if ((shot.playback?.slowdown ?? 1) > 1) kinds.push('rate');
      if (shot.motion?.subject) kinds.push('view');
      return kinds.map((kind): Skill => ({ kind, from: 'planned', own }));
    });
}

/**
 * What is to be practised next: what is due longest; then what was never tried, the kinds in turn and each on one's own
 * shots first; then what is due soonest.
 */
export function nextDrill(
  skills: readonly Skill[],
  tried: readonly Tried[],
  now: string,
  mine: OwnWeights | null,
): Drill | null {
  const cards = cardsOf(tried);
  const nowMs = Date.parse(now);
  const due = (skill: Skill): number => cards.get(keyOf(skill))?.due.getTime() ?? nowMs;
  const last = tried.at(-1)?.kind;
  const kindTried = ({ kind }: Skill): number => tried.filter((one) => one.kind === kind).length;
  // The same twice running practises less than two kinds in turn.
  const order = [...skills].sort(
    (a, b) =>
      Number(due(a) > nowMs) - Number(due(b) > nowMs) ||
      Number(a.kind === last) - Number(b.kind === last) ||
      due(a) - due(b) ||
      kindTried(a) - kindTried(b),
  );
  for (const skill of order) {
    const drill = drillOf(skill, triedOf(tried, skill), mine);
    if (drill) return drill;
  }
  return null;
}

/** `null` where one's own shot asks nothing of this kind. */
function drillOf({ kind, from, own }: Skill, number: number, mine: OwnWeights | null): Drill | null {
  if (!own) return drawnDrill(kind, number, mine);
  const { brief } = briefOf(own.shot);
  const draw = drawing(kind, named(own.id) ^ number);
  const asked = ask(kind, brief, draw, true);
  return asked && { kind, from, id: own.id, name: own.name, brief, ...asked };
}

/** When each skill is due again, from all that was ever answered. Source: FSRS, by its kept library. */
export function cardsOf(tried: readonly Tried[]): ReadonlyMap<string, Card> {
  const cards = new Map<string, Card>();
  for (const one of tried) {
    const key = keyOf({ kind: one.kind, from: one.from, own: one.id === undefined ? null : { id: one.id } });
    const at = new Date(one.at);
    cards.set(key, scheduler.next(cards.get(key) ?? createEmptyCard(at), at, gradeOf(one)).card);
  }
  return cards;
}

/** When something of a kind is asked again next; `null`: nothing of it was ever asked. */
export function dueOf(kind: DrillKind, cards: ReadonlyMap<string, Card>): Date | null {
  const dues = [...cards].filter(([key]) => key.split(' ')[0] === kind).map(([, { due }]) => due);
  return dues.length === 0 ? null : dues.reduce((first, due) => (due < first ? due : first));
}

export function gradeOf({ loss, seconds }: Pick<Tried, 'loss' | 'seconds'>): Grade {
  if (loss >= RATED.again.value) return Rating.Again;
  if (loss >= RATED.hard.value) return Rating.Hard;
  return seconds <= RATED.easySeconds.value ? Rating.Easy : Rating.Good;
}

function triedOf(tried: readonly Tried[], skill: Skill): number {
  const key = keyOf(skill);
  return tried.filter(
    ({ kind, from, id }) => keyOf({ kind, from, own: id === undefined ? null : { id } }) === key,
  ).length;
}

function keyOf({ kind, from, own }: Pick<Skill, 'kind' | 'from'> & { own: { id: string } | null }): string {
  return own ? `${kind} ${from} ${own.id}` : kind;
}
