import * as messages from '@/language/formats/modeSheet';
import { CODECS, COLOURS, RECORDINGS, STABILIZATIONS } from '@/core/vocabulary/modes';
import type { Stabilization } from '@/core/vocabulary/modes';
import Papa from 'papaparse';
import { combinationKey } from '@/core/camera/modeTable';
import { CameraProfileSchema } from '@/core/camera/profile';
import type { CameraProfile, ProfileView } from '@/core/camera/profile';
import { rulesFrom } from '@/core/camera/rulesFrom';
import type { TableRow } from '@/core/camera/rulesFrom';
import { PROJECTIONS } from '@/core/optics/projection';
import { checkAgainst } from '@/core/schema/faults';
import type { Checked, Fault } from '@/core/schema/fault';
import { strongForBoost } from '@/core/schema/versions';
import { COLUMNS, OPTIONAL } from './columns';
import type { Column } from './columns';
import { worded } from '@/core/schema/fault';

/** More rows than this is no camera. */
const MOST_ROWS = 5000;

/**
 * Reads a sheet into a camera: modes, sizes, views and crops from the sheet, all else from `base`. Every fault is told
 * with its row (as a spreadsheet counts, the header being 1) and its column; with one fault nothing is taken over.
 */
export function readModeSheet(text: string, base: CameraProfile): Checked<CameraProfile> {
  const faults: Fault[] = [];
  const parsed = Papa.parse<Record<string, string>>(text.replace(/^\uFEFF/, ''), {
    header: true,
    skipEmptyLines: 'greedy',
    transformHeader: (header) => header.trim(),
    transform: (cell) => cell.trim().replace(/^'(?=[=+\-@])/, ''),
  });
  const header = parsed.meta.fields ?? [];
  for (const name of header)
    if (!(COLUMNS as readonly string[]).includes(name))
      faults.push(
        worded(messages.rowName({ name: name || messages.aColumn }), messages.unknownColumnRemoveOrRename),
      );
  for (const column of COLUMNS)
    if (!OPTIONAL.has(column) && !header.includes(column))
      faults.push(worded(messages.row12({ column }), messages.thisColumnIsMissing));
  if (faults.length > 0) return { ok: false, faults };
  if (parsed.data.length === 0)
    return { ok: false, faults: [worded(messages.rowWord, messages.theSheetHasNoRows)] };
  if (parsed.data.length > MOST_ROWS)
    return {
      ok: false,
      faults: [
        worded(
          messages.rowNumber({ row: MOST_ROWS + 2 }),
          messages.expectedAtMostRows({ mostRows: MOST_ROWS }),
        ),
      ],
    };

  const sheet = new Sheet(base);
  parsed.data.forEach((cells, index) => {
    sheet.add(cells, index + 2, faults);
  });
  if (faults.length > 0) return { ok: false, faults };
  return checkAgainst(CameraProfileSchema, sheet.profile());
}

/** What the rows read so far describe, and where each thing was first said. */
class Sheet {
  private readonly sizes = new Map<string, { width: number; height: number; row: number }>();
  private readonly views = new Map<string, { view: ProfileView; row: number }>();
  private readonly means = new Map<Stabilization, { cropPerSide: number; swingDeg?: number; row: number }>();
  private readonly modes = new Map<string, { mode: TableRow; row: number; codecs: Map<string, number> }>();

  constructor(private readonly base: CameraProfile) {}

  add(cells: Record<string, string>, row: number, faults: Fault[]): void {
    const before = faults.length;
    const at = (column: Column, text: string): void => {
      faults.push(worded(messages.row({ row, column }), text));
    };
    const cell = (column: Column): string => strongForBoost(cells[column] ?? '');
    const word = <T extends string>(column: Column, words: readonly T[], usual?: T): T => {
      const given = cell(column);
      const found = given === '' ? usual : words.find((one) => one === given);
      if (found === undefined)
        at(column, messages.expectedOneOf({ words: words.join(', '), given: got(given) }));
      return found ?? (words[0] as T);
    };
    const number = (column: Column, min: number, max: number, whole = false): number => {
      const given = cell(column);
      const value = Number(given.replace(',', '.'));
      if (given === '' || !Number.isFinite(value))
        at(column, messages.expectedANumber({ given: got(given) }));
      else if (value < min || value > max) at(column, messages.expectedTo({ min, max, given: got(given) }));
      else if (whole && !Number.isInteger(value))
        at(column, messages.expectedAWholeNumber({ given: got(given) }));
      return value;
    };
    const name = (column: Column): string => {
      const given = cell(column);
      if (given === '') at(column, messages.expectedAName);
      else if (given.length > 60) at(column, messages.expectedAtMost60Letters);
      return given;
    };

    const recording = word('recording', RECORDINGS, 'video');
    const resolutionId = name('resolution');
    const width = number('widthPx', 160, 16384, true);
    const height = number('heightPx', 120, 16384, true);
    const frameRate = number('frameRateFps', 1, 1000);
    const viewId = name('view');
    const horizontalDeg = number('horizontalDeg', 2, 179);
    const projection = word('projection', PROJECTIONS);
    const stabilization = word('stabilization', STABILIZATIONS);
    const cropPerSide = number('cropPerSide', 0, 0.4);
    const swingDeg = cell('swingDeg') === '' ? undefined : number('swingDeg', 0, 180);
    const colours = cell('colours') === '' ? (['standard'] as const) : listOf(cell('colours'));
    const strange = colours.find((one) => !(COLOURS as readonly string[]).includes(one));
    if (strange !== undefined)
      at('colours', messages.expectedOneOf({ words: COLOURS.join(', '), given: got(strange) }));
    for (const colour of COLOURS)
      if ((colours as readonly string[]).includes(colour) && !this.base.iso[colour])
        at('colours', messages.thisCameraHasNoISO({ colour }));
    const codec = word('codec', CODECS);
    const bitDepth = word('bitDepth', ['8', '10'], '8');
    const bitRatesMbps = listOf(cell('bitRatesMbps')).map((one) => Number(one.replace(',', '.')));
    if (bitRatesMbps.length === 0 || bitRatesMbps.some((rate) => !(rate >= 0.5 && rate <= 2000)))
      at('bitRatesMbps', messages.expectedNumbersFrom05({ cell: got(cell('bitRatesMbps')) }));
    else if (bitRatesMbps.length > 12) at('bitRatesMbps', messages.expectedAtMost12Rates);
    if (faults.length > before) return;

    const size = this.sizes.get(resolutionId);
    if (!size) this.sizes.set(resolutionId, { width, height, row });
    else if (size.width !== width || size.height !== height)
      at(
        size.width !== width ? 'widthPx' : 'heightPx',
        messages.isInRow({ resolutionId, width: size.width, height: size.height, row: size.row }),
      );
    const seen = this.views.get(viewId);
    if (!seen) this.views.set(viewId, { view: this.viewAs(viewId, horizontalDeg, projection), row });
    else if (seen.view.horizontalDeg !== horizontalDeg)
      at(
        'horizontalDeg',
        messages.isInRowViewId({ viewId, horizontalDeg: seen.view.horizontalDeg, row: seen.row }),
      );
    else if (seen.view.projection !== projection)
      at('projection', messages.isInRowViewId2({ viewId, projection: seen.view.projection, row: seen.row }));
    this.addMeans(stabilization, cropPerSide, swingDeg, row, at);
    if (faults.length > before) return;

    const key = combinationKey({ recording, resolutionId, frameRate, viewId, stabilization });
    const known = this.modes.get(key);
    const encoding = { codec, bitDepth: bitDepth === '10' ? (10 as const) : (8 as const), bitRatesMbps };
    const kind = `${codec} ${bitDepth}`;
    if (!known) {
      const kept = colours as TableRow['colours'];
      const mode: TableRow = {
        recording,
        resolutionId,
        frameRate,
        viewId,
        stabilization,
        colours: kept,
        encodings: [encoding],
      };
      this.modes.set(key, { mode, row, codecs: new Map([[kind, row]]) });
      return;
    }
    const twin = known.codecs.get(kind);
    if (twin !== undefined) at('codec', messages.thisModeInBitStands({ kind, twin }));
    else if (known.mode.colours.join() !== colours.join())
      at('colours', messages.thisModeHasInRow({ colours: known.mode.colours.join(' '), row: known.row }));
    else {
      known.mode.encodings.push(encoding);
      known.codecs.set(kind, row);
    }
  }

  profile(): unknown {
    const { sizes, views, means } = this;
    return {
      ...this.base,
      ...(this.base.standardView !== undefined && views.has(this.base.standardView)
        ? {}
        : { standardView: undefined }),
      resolutions: [...sizes].map(([id, { width, height }]) => ({ id, width, height })),
      views: [...views.values()].map(({ view }) => view),
      stabilizations: Object.fromEntries(
        [...means]
          .filter(([id]) => id !== 'off')
          .map(([id, { cropPerSide, swingDeg }]) => [
            id,
            { cropPerSide, ...(swingDeg === undefined ? {} : { swingDeg }) },
          ]),
      ),
      rules: rulesFrom([...this.modes.values()].map(({ mode }) => mode)),
      limits: [],
    };
  }

  /** A view that the camera had keeps its own lens and whether it is cut from a sphere. */
  private viewAs(id: string, horizontalDeg: number, projection: ProfileView['projection']): ProfileView {
    const had = this.base.views.find((view) => view.id === id);
    return { fromSphere: false, ...had, id, horizontalDeg, projection };
  }

  private addMeans(
    stabilization: Stabilization,
    cropPerSide: number,
    swingDeg: number | undefined,
    row: number,
    at: (column: Column, text: string) => void,
  ): void {
    if (stabilization === 'off' && cropPerSide !== 0) at('cropPerSide', messages.offCropsNothingExpected0);
    const known = this.means.get(stabilization);
    if (!known)
      this.means.set(stabilization, { cropPerSide, row, ...(swingDeg === undefined ? {} : { swingDeg }) });
    else if (known.cropPerSide !== cropPerSide)
      at(
        'cropPerSide',
        messages.cropsInRow({ stabilization, cropPerSide: known.cropPerSide, row: known.row }),
      );
    else if (known.swingDeg !== swingDeg)
      at(
        'swingDeg',
        messages.swingsInRow({
          stabilization,
          swingDeg: known.swingDeg ?? messages.byItsCrop,
          row: known.row,
        }),
      );
  }
}

function listOf(cell: string): string[] {
  return cell.split(/\s+/).filter((part) => part !== '');
}

function got(given: string): string {
  return given === '' ? messages.gotNothing : messages.got({ given });
}
