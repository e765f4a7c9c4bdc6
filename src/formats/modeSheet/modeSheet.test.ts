import Papa from 'papaparse';
import { describe, expect, it } from 'vitest';
import { plainModes } from '../../../bench/anyProfile';
import { bigSheet } from '../../../bench/bigSheet';
import { ARCHETYPES } from '@/core/camera/archetypes';
import { modesOf } from '@/core/camera/modeTable';
import { briefOf } from '@/core/brief/brief';
import { emptyShot } from '@/core/records/emptyShot';
import { solve } from '@/core/answer/solve';
import { readModeSheet } from './read';
import { writeModeSheet } from './write';
import { faultText } from '@/words/faultText';

type Row = Record<string, string>;
const rowsOf = (csv: string): Row[] => Papa.parse<Row>(csv, { header: true }).data;
const faultsOf = (csv: string): string[] => {
  const read = readModeSheet(csv, ARCHETYPES.main);
  return read.ok ? [] : read.faults.map(faultText);
};

describe('a mode table as a sheet', () => {
  it.each(Object.values(ARCHETYPES))('comes back as it went out: $id', (profile) => {
    const read = readModeSheet(writeModeSheet(profile), profile);
    if (!read.ok) throw new Error(JSON.stringify(read.faults.slice(0, 3)));
    expect(plainModes(read.value)).toEqual(plainModes(profile));
    expect(read.value.rules.length).toBeLessThan(60);
  });

  it('with twelve faults planted in 500 rows names each by row and column and takes nothing', () => {
    const rows = bigSheet();
    expect(rows).toHaveLength(500);
    const plant = (row: number, column: string, value: string): void => {
      rows[row - 2]![column] = value;
    };
    plant(5, 'recording', 'film');
    plant(17, 'widthPx', 'wide');
    plant(40, 'heightPx', '1.5');
    plant(77, 'frameRateFps', '0');
    plant(102, 'view', '');
    plant(150, 'horizontalDeg', '112');
    plant(203, 'projection', 'round');
    plant(251, 'stabilization', 'glue');
    plant(300, 'cropPerSide', '0.6');
    plant(351, 'colours', 'sepia');
    plant(405, 'codec', 'avc');
    plant(499, 'bitRatesMbps', '80 fast');
    expect(faultsOf(Papa.unparse(rows)).map((line) => line.split(':')[0])).toEqual([
      'row 5, recording',
      'row 17, widthPx',
      'row 40, heightPx',
      'row 77, frameRateFps',
      'row 102, view',
      'row 150, horizontalDeg',
      'row 203, projection',
      'row 251, stabilization',
      'row 300, cropPerSide',
      'row 351, colours',
      'row 405, codec',
      'row 499, bitRatesMbps',
    ]);
  });

  it('corrected, is imported, and the solver uses it', () => {
    const read = readModeSheet(Papa.unparse(bigSheet(), { delimiter: ';' }), ARCHETYPES.main);
    if (!read.ok) throw new Error(JSON.stringify(read.faults.slice(0, 3)));
    expect(modesOf(read.value)).toHaveLength(250);
    const { brief } = briefOf({ ...emptyShot('x'), camera: { profile: read.value } });
    const outcome = solve(brief);
    expect(outcome.solved && ['wide', 'flat']).toContain(outcome.solved && outcome.solution.settings.view.id);
  });

  it('names missing and unknown columns, an empty sheet, and a crop where nothing is held', () => {
    expect(faultsOf('resolution,colour\n4K,red')).toContain(
      'row 1, colour: unknown column; remove or rename it',
    );
    expect(faultsOf('resolution,colour\n4K,red')).toContain('row 1, codec: this column is missing');
    const [first] = rowsOf(writeModeSheet(ARCHETYPES.budget));
    expect(faultsOf(Papa.unparse([{ ...first, cropPerSide: '0.1' }]))).toEqual([
      'row 2, cropPerSide: off crops nothing: expected 0',
    ]);
    expect(faultsOf(Papa.unparse([first!]).split('\n')[0]!)).toEqual(['row 2: the sheet has no rows']);
  });
});
