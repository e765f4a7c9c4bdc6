import CRC32 from 'crc-32';
import type { Page } from '@playwright/test';
import type { ShotRecord } from '@/core/records/shotRecord';
import { FILE_VERSION } from '@/core/schema/versions';
import { expect, open, test, WHOLE } from './fixture';
import { extremes } from './extremes';
import type { Ends } from './extremes';
import { OF_EACH_KIND, PLACES } from './places';
import { DEMO, DEMO_OUTING, putKept } from './records';

/** As far as the schema of a shot goes, and no further. */
const FAR: Record<string, object> = {
  least: {
    motion: { travelMps: 0, nearestM: 0.05, subject: { speedMps: 0, distanceM: 0.05, sizeM: 0.01 } },
    limits: { recordSeconds: 1, cardGb: 1, isoCeiling: 100 },
    light: { kind: 'range', evMin: -10, evMax: -10 },
  },
  most: {
    motion: { travelMps: 350, nearestM: 10_000, subject: { speedMps: 350, distanceM: 10_000, sizeM: 1000 } },
    limits: { recordSeconds: 604_800, cardGb: 16_384 },
    light: { kind: 'range', evMin: -10, evMax: 24 },
  },
  pole: { light: sun(90, '2026-06-21T00:00:00Z', '2026-06-21T23:59:00Z') },
  polarNight: { light: sun(-90, '2026-06-21T12:00:00Z', '2026-06-21T12:00:01Z') },
};

function sun(lat: number, from: string, to: string): object {
  return { kind: 'sun', lat, lon: 180, from, to, zone: 'UTC' };
}

const [base] = DEMO.shots.filter(({ id }) => id === 'demo-02');
const shots = Object.entries(FAR).map(([id, own]): ShotRecord => ({
  ...base!,
  id,
  demo: false,
  shot: { ...base!.shot, name: id, ...own },
}));
const [day] = DEMO_OUTING.days;
const outing = {
  ...DEMO_OUTING,
  id: 'absurd',
  demo: false,
  days: [
    {
      ...day!,
      air: { lowC: -60, highC: 60 },
      entries: shots.map(({ id }, at) => ({
        what: 'shot' as const,
        id: `a${at}`,
        shotId: id,
        at: ['00:00', '23:59', '12:00', '12:00'][at]!,
        pauses: [],
        note: '',
      })),
    },
  ],
};

test('what lies at the ends of the schema is drawn whole everywhere', WHOLE, async ({ page }) => {
  test.slow();
  // Taken in as a file, which its schema checks.
  await open(page, '/handover?part=take');
  const [chooser] = await Promise.all([
    page.waitForEvent('filechooser'),
    page.getByRole('button', { name: 'Pick a file' }).click(),
  ]);
  const file = { kind: 'lynxeye/outing-file', version: FILE_VERSION, outing, shots };
  await chooser.setFiles({
    name: 'absurd.json',
    mimeType: 'application/json',
    buffer: Buffer.from(JSON.stringify(file)),
  });
  await expect(page.getByText('Imported 4 shots and 1 outing')).toBeVisible();
  const ofDay = `outing=absurd&day=${day!.id}`;
  const parts = [
    'light',
    'motion',
    'playback',
    'losses',
    'preview',
    'steadiness',
    'card',
    'power',
    'variants',
  ];
  await drawWhole(page, [
    ...shots.flatMap(({ id }) => parts.map((part) => `/bench?shot=${id}&part=${part}`)),
    `/outing?${ofDay}`,
    `/carry?${ofDay}`,
    `/rehearsal?${ofDay}`,
    `/debrief?${ofDay}`,
    '/',
  ]);
});

/** Rules for what of every record is put to which end of its schema. A camera keeps its lists: they name each other. */
const ENDS: Record<string, Ends> = {
  'at their least': (what, path) =>
    what === 'list' || (what === 'key' && path.startsWith('kit')) ? null : 'least',
  'at their most': (what) => (what === 'number' ? 'most' : null),
  'empty where they may be': (what, path) => (what === 'number' || path.startsWith('kit') ? null : 'least'),
  'mixed of both ends': (what, path) =>
    what === 'number' ? ([null, 'least', 'most'] as const)[(CRC32.str(path) >>> 0) % 3]! : null,
};
/** Of these every place is walked, of the others one of each kind. */
const MIXED = /least|mixed/;
for (const [how, ends] of Object.entries(ENDS))
  test(
    `shots, outings, clips, gear and cameras ${how} are drawn whole everywhere`,
    WHOLE,
    async ({ page }) => {
      test.slow();
      await open(page, '/');
      await putKept(page, extremes(ends));
      await drawWhole(page, MIXED.test(how) ? PLACES : OF_EACH_KIND);
    },
  );

/** Goes to each place: no attribute and no text there may be of what is no number. */
async function drawWhole(page: Page, places: readonly string[]): Promise<void> {
  const broken: string[] = [];
  let place = '';
  page.on(
    'console',
    (message) => message.type() === 'error' && broken.push(`${place}: ${message.text().slice(0, 200)}`),
  );
  page.on('pageerror', (error) => broken.push(`${place}: uncaught ${error.message.slice(0, 200)}`));
  for (place of places) {
    await open(page, place);
    await page.waitForLoadState('networkidle');
    const found = await page.evaluate(() => [
      ...[...document.querySelectorAll('*')].flatMap((element) =>
        [...element.attributes]
          .filter(({ value }) => /(^|[^a-z])(NaN|Infinity)([^a-z]|$)/.test(value))
          .map(({ name, value }) => `${element.tagName} ${name}=${value.slice(0, 60)}`),
      ),
      ...(document.querySelector('main')!.innerText.match(/.*\b(NaN|Infinity|undefined)\b.*/g) ?? []),
    ]);
    broken.push(...found.map((what) => `${place}: ${what}`));
  }
  expect([...new Set(broken)]).toEqual([]);
}
