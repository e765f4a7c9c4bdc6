import { readFileSync } from 'node:fs';
import type { Page } from '@playwright/test';
import type { Clip } from '@/core/records/clip';
import { datedAt, encodeIn } from './clips';
import { expect, expectNoAxeFindings, open, test, undoUntil, WHOLE } from './fixture';
import { DEMO, kept } from './records';

/** A camera that ships, as its file has it. */
const MINI = JSON.parse(readFileSync('src/core/camera/archetypes/mini.json', 'utf8')) as {
  resolutions: { width: number }[];
};
const SMALL = { width: 320, height: 180 };
/** Those of the small day: the demo has clips of its own. */
const clipsOf = async (page: Page): Promise<Clip[]> =>
  ((await kept(page, 'clips')) as Clip[]).filter(({ demo }) => !demo);
const named = async (page: Page, name: string): Promise<Clip> => {
  const clip = (await clipsOf(page)).find(({ measured }) => measured.file.name === name);
  if (!clip) throw new Error(`no ${name}`);
  return clip;
};

interface File {
  name: string;
  mimeType: string;
  buffer: Buffer;
}

async function takeIn(page: Page, files: readonly File[]): Promise<void> {
  const [chooser] = await Promise.all([
    page.waitForEvent('filechooser'),
    page.getByRole('button', { name: 'Take in clips' }).click(),
  ]);
  await chooser.setFiles([...files]);
}

/** Waits until every clip was looked at. */
async function looked(page: Page, count: number): Promise<void> {
  await expect
    .poll(async () => (await clipsOf(page)).filter((clip) => clip.looked !== 'file').length)
    .toBe(count);
}

/** A day of two cameras that film small pictures, at 25 and at 50 frames a second, in place of large ones. */
function smallDay(): File {
  const camera = (id: string, name: string): object => ({
    ...MINI,
    id,
    name,
    resolutions: MINI.resolutions.map((one) => (one.width === 1920 ? { ...one, ...SMALL } : one)),
  });
  const shot = (id: string, name: string, profile: object, frameRate: number): object => ({
    id,
    createdAt: '2026-10-01T10:00:00Z',
    updatedAt: '2026-10-01T10:00:00Z',
    demo: false,
    ticked: [],
    shot: {
      kind: 'lynxeye/shot',
      version: 3,
      name,
      camera: { profile },
      playback: { timelineFps: 25 },
      light: { kind: 'range', evMin: 13, evMax: 14 },
      filters: [3, 4, 5].map((stops) => ({ id: `nd${2 ** stops}`, kind: 'nd', stops })),
      pins: { resolution: SMALL, frameRate, stabilization: 'off' },
    },
  });
  const [mite, midge] = [camera('mite', 'Mite'), camera('midge', 'Midge')];
  const entry = (id: string, shotId: string, at: string, recordSeconds: number): object => ({
    what: 'shot',
    id,
    shotId,
    at,
    recordSeconds,
  });
  const file = {
    kind: 'lynxeye/outing-file',
    version: 3,
    outing: {
      kind: 'lynxeye/outing',
      version: 3,
      id: 'small-day',
      createdAt: '2026-10-01T10:00:00Z',
      updatedAt: '2026-10-01T10:00:00Z',
      name: 'Small day',
      zone: 'Europe/Rome',
      days: [
        {
          id: 'only',
          date: '2026-10-03',
          entries: [
            entry('e1', 's1', '10:00', 4),
            entry('e2', 's2', '11:00', 3),
            entry('e3', 's3', '12:00', 4),
          ],
        },
      ],
    },
    shots: [
      shot('s1', 'First bend', mite, 25),
      shot('s2', 'Second bend', mite, 25),
      shot('s3', 'Long reach', midge, 50),
    ],
  };
  return {
    name: 'small-day.json',
    mimeType: 'application/json',
    buffer: Buffer.from(JSON.stringify(file)),
  };
}

async function openSmallDay(page: Page): Promise<void> {
  await open(page, '/outing');
  await page.getByRole('button', { name: 'Menu' }).click();
  const [chooser] = await Promise.all([
    page.waitForEvent('filechooser'),
    page.getByRole('menuitem', { name: /Import/ }).click(),
  ]);
  await chooser.setFiles([smallDay()]);
  await expect.poll(async () => (await kept(page, 'outings')).length).toBe(DEMO.outings.length + 1);
  await open(page, '/debrief?outing=small-day&day=only');
  await expect(page.getByRole('button', { name: 'Take in clips' })).toBeEnabled();
}

for (const codec of ['avc', 'vp9'] as const)
  test(
    `what clips were made with comes out through ${codec} at ordinary bit rates`,
    WHOLE,
    async ({ page }) => {
      await open(page, '/debrief?outing=demo-outing&day=saturday');
      await expect(page.getByRole('button', { name: 'Take in clips' })).toBeEnabled();
      const shake = { hz: 2.1, pctPerSRms: 12, rollDegPerSRms: 0 };
      const still = { hz: 2, pctPerSRms: 0, rollDegPerSRms: 0 };
      const how = { codec, bitrate: 3e6 } as const;
      const common = { width: 640, height: 360, seconds: 4 };
      const files = await encodeIn(page, [
        { name: 'tones', made: { ...common, clipped: 0.08, crushed: 0.06, horizonDeg: 5.9, shake }, how },
        { name: 'lamps', made: { ...common, flicker: { hz: 8, pct: 6.5, bands: 0 }, panPctPerS: 8 }, how },
        { name: 'held', made: { ...common, everyNth: 2, panPctPerS: 12 }, how },
        { name: 'smeared', made: { ...common, smear: { hz: 2, px: 24 }, panPctPerS: 10 }, how },
        { name: 'coarse', made: { ...common, grain: 0.03, shake: still }, how: { ...how, bitrate: 12e6 } },
        { name: 'coarser', made: { ...common, grain: 0.06, shake: still }, how: { ...how, bitrate: 24e6 } },
      ]);
      await takeIn(page, files);
      await looked(page, files.length);
      const of = async (name: string): Promise<NonNullable<Clip['measured']['pictures']>> => {
        const { pictures } = (await named(page, name)).measured;
        if (!pictures) throw new Error(`no pictures of ${name}`);
        return pictures;
      };
      const [tones, lamps, held, smeared, coarse, coarser] = [
        await of('tones'),
        await of('lamps'),
        await of('held'),
        await of('smeared'),
        await of('coarse'),
        await of('coarser'),
      ];
      if (process.env.SAY)
        console.log(JSON.stringify({ tones, lamps, held, smeared, coarse, coarser }, null, 1));
      // Tolerances as measured through both codecs here.
      expect(Math.abs(tones.clippedPct.median - 8)).toBeLessThan(1.5);
      expect(Math.abs(tones.crushedPct.median - 6)).toBeLessThan(1.5);
      expect(Math.abs((tones.tiltDeg ?? 90) - 5.9)).toBeLessThan(0.8);
      expect(Math.abs(Math.log2((tones.movement?.shakePctWidthPerSRms ?? 0) / 12))).toBeLessThan(0.25);
      expect(Math.abs((tones.movement?.strongestHz ?? 0) - 2.1)).toBeLessThan(0.4);
      expect(Math.abs((lamps.flicker?.hz ?? 0) - 8)).toBeLessThan(0.4);
      expect(Math.abs((held.repeatedPct ?? 0) - 50)).toBeLessThan(4);
      expect(held.repeatPattern).toBe(2);
      expect(smeared.pulsingPct ?? 0).toBeGreaterThan(2 * (lamps.pulsingPct ?? 100));
      // Coding takes grain off: what is left of twice the grain is less than twice.
      const less = (coarse.noiseDb ?? 0) - (coarser.noiseDb ?? 0);
      expect(less).toBeGreaterThan(3);
      expect(less).toBeLessThan(7.5);
    },
  );

test('a day of clips finds its shots; findings, moves, verdicts and changes are kept', async ({ page }) => {
  await openSmallDay(page);
  const made = { ...SMALL, shake: { hz: 2, pctPerSRms: 4, rollDegPerSRms: 0 } };
  const how = { codec: 'avc', bitrate: 3e6 } as const;
  const [white, right, smeared] = await encodeIn(page, [
    { name: 'MT0001.MP4', made: { ...made, seconds: 4, clipped: 0.09 }, how },
    { name: 'MT0002.MP4', made: { ...made, seconds: 3 }, how },
    {
      name: 'MG0001.MP4',
      made: { ...made, seconds: 4, fps: 50, smear: { hz: 2, px: 24 } },
      how: { ...how, sound: 0.2 },
    },
  ]);
  // The first camera's clock is seven minutes ahead, the other's eleven behind. The zone is two hours ahead.
  const dated = (file: File, at: string): File => ({ ...file, buffer: datedAt(file.buffer, at) });
  await takeIn(page, [
    dated(white!, '2026-10-03T08:07:20Z'),
    dated(right!, '2026-10-03T09:08:00Z'),
    // The camera cut this recording: the second piece begins where the first ends.
    { ...dated(right!, '2026-10-03T09:08:03Z'), name: 'MT0003.MP4' },
    dated(smeared!, '2026-10-03T09:49:30Z'),
  ]);
  await looked(page, 4);
  for (const [name, entryId] of [
    ['MT0001.MP4', 'e1'],
    ['MT0002.MP4', 'e2'],
    ['MT0003.MP4', 'e2'],
    ['MG0001.MP4', 'e3'],
  ] as const)
    expect((await named(page, name)).entryId, name).toBe(entryId);
  expect((await named(page, 'MG0001.MP4')).measured.sound?.peakDb).toBeLessThan(-10);
  expect((await named(page, 'MT0003.MP4')).piece).toMatchObject({ number: 2, of: 2 });
  expect((await named(page, 'MT0002.MP4')).measured.findings.map(({ code }) => code)).not.toContain('cutOff');
  await expectNoAxeFindings(page, 'the Debrief');

  // One clip: its findings with their one change, taken into a new shot and back.
  await page
    .getByRole('listitem')
    .getByRole('button', { name: /^MT0001/ })
    .click();
  await expect(page.getByRole('heading', { name: 'MT0001.MP4' })).toBeVisible();
  await expect(page.getByText(/9 % of the picture has no tone left/)).toBeVisible();
  const time = page.getByRole('slider', { name: 'Time in the clip' });
  await time.focus();
  await page.keyboard.press('ArrowRight');
  await expect(time).toHaveAttribute('aria-valuetext', /^0\.2 s: Exposure .*White 9/);
  await expectNoAxeFindings(page, 'the Debrief');
  await page.getByRole('button', { name: 'Take that' }).click();
  await expect(page.getByRole('button', { name: 'white sky' })).toHaveAttribute('aria-pressed', 'true');
  await page.getByRole('button', { name: /Take the change against White/ }).click();
  await page.waitForURL(/\/bench\?shot=/);
  await expect(page.getByRole('textbox', { name: 'Name of the shot' })).toHaveValue('First bend, next time');
  const shots = (await kept(page, 'shots')) as { shot: { name?: string; pins?: object } }[];
  const held = (name: string): string[] =>
    Object.keys(shots.find(({ shot }) => shot.name === name)?.shot.pins ?? {});
  expect(held('First bend, next time').length).toBeGreaterThan(held('First bend').length);

  // Back on the day: a clip goes to another shot by the keyboard and comes back by undo.
  await open(page, '/debrief?outing=small-day&day=only');
  const block = page
    .getByRole('group', { name: 'Clips of the day' })
    .getByRole('button', { name: /^MT0002/ });
  await block.focus();
  await page.keyboard.press('ArrowLeft');
  await expect.poll(async () => (await named(page, 'MT0002.MP4')).entryId).toBe('e1');
  expect((await named(page, 'MT0002.MP4')).byHand).toBe(true);
  await undoUntil(page, async (timeout) => {
    await expect.poll(async () => (await named(page, 'MT0002.MP4')).entryId, { timeout }).toBe('e2');
  });
  // And by the list, to none.
  await page.getByRole('combobox', { name: 'Shot of MT0002.MP4' }).click();
  await page.getByTitle('Unplanned', { exact: true }).click();
  await expect.poll(async () => (await named(page, 'MT0002.MP4')).entryId).toBeNull();
  await block.focus();
  await page.keyboard.press('Enter');
  await expect(page.getByRole('heading', { name: 'MT0002.MP4' })).toBeVisible();
  await expect(page.getByRole('row', { name: /^Ended/ })).toContainText('goes on in the next piece');
  await expect(page.getByRole('row', { name: /^Length/ })).toContainText('this piece 1 of 2');
  await page.getByRole('button', { name: 'Remove this clip' }).click();
  await expect.poll(async () => (await clipsOf(page)).length).toBe(3);
});

test('files that are not as they should be: each a clear word, nothing lost', WHOLE, async ({ page }) => {
  await open(page, '/debrief?outing=demo-outing&day=saturday');
  await expect(page.getByRole('button', { name: 'Take in clips' })).toBeEnabled();
  const made = { ...SMALL, seconds: 2, panPctPerS: 6 };
  const how = { codec: 'avc', bitrate: 3e6 } as const;
  const [whole, upright] = await encodeIn(page, [
    { name: 'whole.mp4', made, how },
    { name: 'upright.mp4', made: { ...made, horizonDeg: 0 }, how: { ...how, rotation: 90 } },
  ]);
  const cut = { ...whole!, name: 'cut.mp4', buffer: whole!.buffer.subarray(0, whole!.buffer.length * 0.6) };
  const as = (name: string, buffer: Buffer): File => ({ name, mimeType: 'video/mp4', buffer });
  await takeIn(page, [
    whole!,
    upright!,
    cut,
    as('empty.mp4', Buffer.alloc(0)),
    as('notes.mp4', Buffer.from('What the day was like.')),
    as('none.y4m', Buffer.from('YUV4MPEG2 W64 H36 F25:1 Cmono\n')),
  ]);
  const told = page.getByRole('alert').filter({ hasText: 'empty.mp4' });
  await expect(told).toContainText('the file is empty');
  await expect(told).toContainText('this is no clip');
  await looked(page, 3);
  expect((await named(page, 'cut.mp4')).cutShort).toBe(true);
  expect((await named(page, 'cut.mp4')).measured.findings.map(({ code }) => code)).toContain('cutOff');
  expect((await named(page, 'cut.mp4')).measured.pictures).not.toBeNull();
  expect((await named(page, 'whole.mp4')).measured.container.audio).toBeNull();
  const turned = (await named(page, 'upright.mp4')).measured;
  expect(turned.container.rotationDeg).toBe(90);
  // A level line in the file stands upright when it is shown: no horizon.
  expect(turned.pictures?.tiltDeg).toBeNull();
  await expect.poll(async () => (await named(page, 'none.y4m')).measured.unread).toBe('noFrames');
  await expect(page.getByRole('paragraph').filter({ hasText: 'It holds no frames.' })).toBeVisible();
  await told.getByRole('button', { name: 'Read that' }).click();
  await expect(told).toBeHidden();
});

test('on a phone the day and a clip fit, and a look is stopped at once', WHOLE, async ({ page }) => {
  await page.setViewportSize({ width: 390, height: 844 });
  await open(page, '/debrief?outing=demo-outing&day=saturday');
  await expect(page.getByRole('button', { name: 'Take in clips' })).toBeEnabled();
  const files = await encodeIn(page, [
    {
      name: 'long.mp4',
      made: { ...SMALL, seconds: 7.5, panPctPerS: 6 },
      how: { codec: 'avc', bitrate: 3e6 },
    },
  ]);
  await takeIn(page, files);
  await page.getByRole('button', { name: 'Stop', exact: true }).click();
  await expect(page.getByRole('progressbar')).toHaveCount(0);
  expect((await named(page, 'long.mp4')).looked).toBe('file');
  await page.getByRole('button', { name: 'Look at it' }).click();
  await looked(page, 1);
  await expectNoAxeFindings(page, 'the Debrief');
  await page.getByRole('listitem').getByRole('button', { name: /^long/ }).click();
  await expect(page.getByRole('heading', { name: 'long.mp4' })).toBeVisible();
  const wide = await page.evaluate(() => document.documentElement.scrollWidth);
  expect(wide).toBeLessThanOrEqual(390);
  await expectNoAxeFindings(page, 'the Debrief');
});
