import { readFileSync } from 'node:fs';
import { ARCHETYPES } from '@/core/camera/archetypes';
import { modesOf } from '@/core/camera/modeTable';
import { worded } from '@/core/schema/fault';
import type { Fault } from '@/core/schema/fault';
import { readBackup } from '@/core/records/backup';
import { checkAnyFile, FILE_NAMES, jsonSchemaOf } from '@/core/records/files';
import { readOutingFile } from '@/core/records/outingFile';
import { readShot } from '@/core/records/shot';
import { item } from '@/core/units/items';
import { parseJson } from '@/formats/json';
import { answerShot } from '@/words/answer';
import { daysReport } from './day';
import { sunReport } from './sun';
import { faultText } from '@/words/faultText';

/** Exit status 0: done. 1: a fault of ours. 2: bad input, one line a fault on standard error. */
export interface Result {
  status: 0 | 1 | 2;
  out: string;
  err: string;
}

const USAGE = `lynxeye solve FILE|-      a shot in, an answer out
lynxeye day FILE|-        the days of an outing file worked out: filters, set-ups, card, power, heat
lynxeye inspect CLIP… [--shot SHOT]
                          what came back, measured: one report a clip, as a JSON array
lynxeye rehearse FILE|- [--draws 1000] [--seed 1]
                          the days of an outing file lived through so often: chances, drivers, robust picks
lynxeye learn FILE|-      the figures that the log of a backup corrects, before and after
lynxeye worth FILE|- [--budget N]
                          what to get next over the outings of a backup, by loss saved, at its own prices
lynxeye check FILE|-      says whether a file is valid
lynxeye schema NAME       prints a JSON Schema: ${FILE_NAMES.join(', ')}
lynxeye sun --lat 46.6 --lon 12.3 --at 2026-10-03T09:30:00+02:00 [--sky clear|thin|cloud|dark]
                          where the sun stands and the light it gives
lynxeye cameras           the cameras that ship, with their modes`;

/** Runs one command. `readInput` gives a file's text ("-" for standard input), and may throw. */
export async function run(
  args: readonly string[],
  readInput: (name: string) => string = readText,
): Promise<Result> {
  const [command, argument, ...rest] = args;
  if (command === 'sun') return printSun(args.slice(1));
  if (command === 'inspect') return inspectClips(args.slice(1), readInput);
  if (command === 'rehearse') return rehearseFile(argument, rest, readInput);
  if (command === 'worth') return worthOfFile(argument, rest, readInput);
  if (rest.length > 0) return bad([worded('', `unexpected "${rest.join(' ')}"`)]);
  switch (command) {
    case 'solve':
      return withFile(argument, readInput, solveFile);
    case 'day':
      return withFile(argument, readInput, dayFile);
    case 'learn':
      return withFile(argument, readInput, learnFile);
    case 'check':
      return withFile(argument, readInput, checkFile);
    case 'schema':
      return printSchema(argument);
    case 'cameras':
      return argument === undefined ? printCameras() : bad([worded('', `unexpected "${argument}"`)]);
    case 'help':
    case '--help':
      return good(USAGE);
    default:
      return bad([
        worded(
          '',
          `${command === undefined ? 'no command' : `no command "${command}"`}. Commands:\n${USAGE}`,
        ),
      ]);
  }
}

function solveFile(input: unknown): Result {
  const shot = readShot(input);
  if (!shot.ok) return bad(shot.faults);
  const answer = answerShot(shot.value);
  if (answer.kind === 'lynxeye/answer') return good(JSON.stringify(answer, null, 2));
  const ways = answer.nearest.map(({ label }) => label);
  const nearest = ways.length > 0 ? `; nearest that works: ${ways.join(', or ')}` : '';
  return bad(answer.reasons.map(({ path, text }) => worded(path, `${text}${nearest}`)));
}

async function dayFile(input: unknown): Promise<Result> {
  const file = await readOutingFile(input);
  if (!file.ok) return bad(file.faults);
  const { outings, shots } = file.records;
  return good(JSON.stringify(daysReport(item(outings, 0), shots), null, 2));
}

async function learnFile(input: unknown): Promise<Result> {
  const read = await readBackup(input);
  if (!read.ok) return bad(read.faults);
  const { learnReport } = await import('./learn');
  return good(JSON.stringify(learnReport(read.records), null, 2));
}

async function worthOfFile(
  name: string | undefined,
  args: readonly string[],
  readInput: (name: string) => string,
): Promise<Result> {
  const { budgetIn, worthReport } = await import('./worth');
  const budget = budgetIn(args);
  if (!budget.ok) return bad(budget.faults);
  return withFile(name, readInput, async (input) => {
    const read = await readBackup(input);
    return read.ok
      ? good(JSON.stringify(worthReport(read.records, budget.value), null, 2))
      : bad(read.faults);
  });
}

async function rehearseFile(
  name: string | undefined,
  args: readonly string[],
  readInput: (name: string) => string,
): Promise<Result> {
  const { rehearsalReport, wishIn } = await import('./rehearse');
  const wish = wishIn(args);
  if (!wish.ok) return bad(wish.faults);
  return withFile(name, readInput, async (input) => {
    const file = await readOutingFile(input);
    if (!file.ok) return bad(file.faults);
    const { outings, shots } = file.records;
    return good(JSON.stringify(rehearsalReport(item(outings, 0), shots, wish.value), null, 2));
  });
}

async function checkFile(input: unknown): Promise<Result> {
  const checked = await checkAnyFile(input);
  return checked.ok ? good(`valid lynxeye/${checked.value}`) : bad(checked.faults);
}

async function printSchema(name: string | undefined): Promise<Result> {
  const known = FILE_NAMES.find((one) => one === name);
  return known
    ? good(JSON.stringify(await jsonSchemaOf(known), null, 2))
    : bad([worded('', `expected a schema name: ${FILE_NAMES.join(', ')}`)]);
}

function printSun(args: readonly string[]): Result {
  const report = sunReport(args);
  return report.ok ? good(JSON.stringify(report.value, null, 2)) : bad(report.faults);
}

/** Every clip in turn; one that cannot be read refuses them all, so that no figure is missed unseen. */
async function inspectClips(args: readonly string[], readInput: (name: string) => string): Promise<Result> {
  const { inspectClip, shotOf } = await import('./inspect');
  const shotAt = args.indexOf('--shot');
  const clips = shotAt < 0 ? args : args.filter((_, at) => at !== shotAt && at !== shotAt + 1);
  const unknown = clips.filter((word) => word.startsWith('--'));
  if (unknown.length > 0) return bad(unknown.map((word) => worded('', `unexpected "${word}"`)));
  if (clips.length === 0) return bad([worded('', 'expected the name of a clip')]);
  const inspected = async (planned: Parameters<typeof inspectClip>[1]): Promise<Result> => {
    const reports: unknown[] = [];
    const faults: Fault[] = [];
    for (const clip of clips) {
      const report = await inspectClip(clip, planned);
      if (report.ok) reports.push(report.value);
      else faults.push(...report.faults);
    }
    return faults.length > 0 ? bad(faults) : good(JSON.stringify(reports, null, 2));
  };
  if (shotAt < 0) return inspected(null);
  return withFile(args[shotAt + 1], readInput, (input) => {
    const planned = shotOf(input);
    return planned.ok ? inspected(planned.value) : bad(planned.faults);
  });
}

function printCameras(): Result {
  const cameras = Object.values(ARCHETYPES).map((profile) => ({
    ...profile,
    modes: modesOf(profile).map(({ resolution, frameRate, view, stabilization, colours, encodings }) => ({
      resolution: { width: resolution.width, height: resolution.height },
      frameRate,
      view: { id: view.id, horizontalDeg: view.horizontalDeg },
      stabilization,
      colours,
      encodings,
    })),
  }));
  return good(JSON.stringify(cameras, null, 2));
}

async function withFile(
  name: string | undefined,
  readInput: (name: string) => string,
  use: (input: unknown) => Result | Promise<Result>,
): Promise<Result> {
  if (name === undefined) return bad([worded('', 'expected a file name, or - for standard input')]);
  let text: string;
  try {
    text = readInput(name);
  } catch {
    return bad([worded('', `cannot read "${name}"`)]);
  }
  const parsed = parseJson(text);
  return parsed.ok ? use(parsed.value) : bad(parsed.faults);
}

function readText(name: string): string {
  return readFileSync(name === '-' ? 0 : name, 'utf8');
}

function good(out: string): Result {
  return { status: 0, out: `${out}\n`, err: '' };
}

function bad(faults: readonly Fault[]): Result {
  return { status: 2, out: '', err: `${faults.map(faultText).join('\n')}\n` };
}
