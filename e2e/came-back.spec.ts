import { readFileSync } from 'node:fs';
import type { Page } from '@playwright/test';
import { Mp4OutputFormat } from 'mediabunny';
import type { Clip } from '@/core/records/clip';
import type { ShotRecord } from '@/core/records/shotRecord';
import { PLAIN_CLIP, y4mOf } from '../bench/madeClip';
import { madeContainer, wav } from '../bench/madeContainer';
import { encodeIn } from './clips';
import { expect, expectNoAxeFindings, open, test, WHOLE } from './fixture';
import { DEMO, kept } from './records';

const clipsOf = async (page: Page): Promise<Clip[]> => (await kept(page, 'clips')) as Clip[];
const measured = (clips: readonly Clip[]): Record<string, string[]> =>
  Object.fromEntries(
    clips.map(({ measured: { file, findings } }) => [file.name, findings.map(({ code }) => code).sort()]),
  );
const truth = Object.fromEntries(
  (JSON.parse(readFileSync('public/sampleClips.json', 'utf8')) as { name: string; found: string[] }[]).map(
    ({ name, found }) => [name, found.sort()],
  ),
);

test('the clips of the finished outing ship measured: what was put in came out', async ({ page }) => {
  await open(page, '/debrief');
  await page.getByRole('link', { name: /^Holm Lake skate/ }).click();
  const list = page.getByRole('listitem').filter({ hasText: 'OTR_0041.MP4' });
  await expect(list).toContainText('smear');
  expect(measured(await clipsOf(page))).toEqual(truth);
  await expectNoAxeFindings(page, 'the finished day');
  await list.getByRole('button', { name: /OTR_0041/ }).click();
  await expect(page.getByRole('heading', { name: 'OTR_0041.MP4' })).toBeVisible();
  await expectNoAxeFindings(page, 'a clip of it');
});

test(
  'drawn again in the page they are the same clips; two cameras lie side by side by what both heard',
  WHOLE,
  async ({ page }) => {
    await open(page, '/debrief?outing=demo-holm&day=holm-day');
    await page.getByRole('button', { name: 'Draw its sample clips' }).click();
    await expect(page.getByText(/^Drawing clip 1 of 8/)).toBeVisible();
    await expect(page.getByText(/^Drawing clip 4 of 8/)).toBeVisible();
    // Stopped, what was drawn until then is at hand; the clips that are kept stay the same.
    await page.getByRole('button', { name: 'Stop', exact: true }).click();
    await expect(page.getByRole('button', { name: 'Draw its sample clips' })).toBeVisible();
    await expect.poll(async () => (await clipsOf(page)).length).toBe(DEMO.clips.length);
    await page
      .getByRole('button', { name: /OTR_0042/ })
      .first()
      .click();
    const beside = page.getByRole('region', { name: 'Beside another clip' });
    await beside.getByRole('combobox', { name: 'Which clip' }).click();
    await page.getByTitle('SHR_0043.MP4').click();
    await expect(beside.getByRole('status')).toHaveText('By what both heard, the second began 1.4 s later.');
    await expect(beside.locator('video')).toHaveCount(2);
    await beside.getByRole('slider', { name: 'Time of both clips' }).press('ArrowRight');
    await beside.getByRole('button', { name: 'Play both' }).click();
    await beside.getByRole('button', { name: 'Pause' }).click();
    await expectNoAxeFindings(page, 'two clips');
  },
);

test(
  'a test clip says go, or what to change first, within ten seconds; the change goes on the card',
  WHOLE,
  async ({ page }) => {
    await open(page, '/carry?shot=demo-skate-2');
    const part = page.getByRole('region', { name: 'Test clip of Otter' });
    const give = async (file: { name: string; mimeType: string; buffer: Buffer }): Promise<void> => {
      const [chooser] = await Promise.all([
        page.waitForEvent('filechooser'),
        part.getByRole('button', { name: 'Look at a test clip' }).click(),
      ]);
      await chooser.setFiles([file]);
    };
    const how = { codec: 'avc', bitrate: 8e6 } as const;
    const size = { width: 1920, height: 1080, fps: 25, seconds: 3 };
    const plain = { ...size, panPctPerS: 12, grain: 0.004 };
    const [good, white] = await encodeIn(page, [
      { name: 'good.mp4', made: plain, how },
      { name: 'white.mp4', made: { ...plain, clipped: 0.2 }, how },
    ]);
    await give(white!);
    await expect(part.getByText('Change this first')).toBeVisible();
    await expect(part.getByRole('listitem').first()).toContainText('White');
    const pinned = async (): Promise<unknown> =>
      ((await kept(page, 'shots')) as ShotRecord[]).find(({ id }) => id === 'demo-skate-2')?.shot.pins;
    const before = await pinned();
    await part.getByRole('button', { name: 'Put the change against White on the card' }).click();
    await expect.poll(pinned).not.toEqual(before);
    await expectNoAxeFindings(page, 'a test clip');
    await give(good!);
    await expect(part.getByText('Go', { exact: true })).toBeVisible();
    await give({ name: 'text.mp4', mimeType: 'video/mp4', buffer: Buffer.from('no clip at all, this') });
    await expect(part.getByRole('alert')).toContainText('this is no clip');
    expect(await clipsOf(page)).toHaveLength(DEMO.clips.length);
  },
);

test(
  'what this browser does not decode gives its facts, and says that its pictures stay unread',
  WHOLE,
  async ({ page }) => {
    const file = await madeContainer({
      format: new Mp4OutputFormat({ fastStart: 'in-memory' }),
      codec: 'hevc',
      codecString: 'hvc1.1.6.L93.B0',
    });
    await open(page, '/debrief?outing=demo-holm&day=holm-day');
    const [chooser] = await Promise.all([
      page.waitForEvent('filechooser'),
      page.getByRole('button', { name: 'Take in clips' }).click(),
    ]);
    const bytes = async (
      name: string,
      blob: Blob,
    ): Promise<{ name: string; mimeType: string; buffer: Buffer }> => ({
      name,
      mimeType: blob.type,
      buffer: Buffer.from(await blob.arrayBuffer()),
    });
    await chooser.setFiles([
      await bytes('NEW_0001.MP4', file),
      // Sound lies beside an uncompressed clip, under its name.
      await bytes('RAW_0001.y4m', y4mOf({ ...PLAIN_CLIP, seconds: 1 })),
      await bytes('raw_0001.WAV', wav(1, 1)),
    ]);
    const raw = async (): Promise<Clip | undefined> =>
      (await clipsOf(page)).find(({ measured: { file: its } }) => its.name === 'RAW_0001.y4m');
    await expect.poll(async () => (await raw())?.looked).toBe('whole');
    expect((await raw())?.measured.sound?.levelDb).toBeLessThan(0);
    await page
      .getByRole('button', { name: /NEW_0001/ })
      .first()
      .click();
    await expect(page.getByRole('note')).toContainText('does not decode hevc');
    await expect(page.getByRole('table')).toContainText('640×360');
  },
);

test(
  'the log stays fluid with 2,000 recordings, and is narrowed by what came back',
  WHOLE,
  async ({ page }) => {
    await open(page, '/log');
    await expect(page.getByRole('status').filter({ hasText: 'recordings' })).toHaveText('7 recordings');
    await page.evaluate(
      () =>
        new Promise<void>((resolve) => {
          const request = indexedDB.open('lynxeye');
          request.onsuccess = () => {
            const transaction = request.result.transaction(['log', 'clips'], 'readwrite');
            const log = transaction.objectStore('log');
            log.get('demo-log-2').onsuccess = ({ target }) => {
              const { result } = target as IDBRequest<object>;
              for (let at = 0; at < 2000; at++)
                log.put({ ...result, id: `many-${at}`, at: new Date(1.76e12 + at * 6e5).toISOString() });
            };
            transaction.oncomplete = () => {
              request.result.close();
              resolve();
            };
          };
        }),
    );
    await page.reload();
    await page.locator('main[data-ready="true"]').waitFor();
    await expect(page.getByRole('status').filter({ hasText: 'recordings' })).toHaveText('2007 recordings');
    expect(await page.getByRole('listitem').count()).toBeLessThan(80);
    await page.getByRole('combobox', { name: 'With the finding' }).click();
    await page.getByTitle('Smear').click();
    await expect(page.getByRole('status').filter({ hasText: 'recordings' })).toHaveText(
      '1 of 2007 recordings',
    );
    await expect(page.getByRole('heading', { name: 'Holm Lake, first lap' })).toBeVisible();
    const [download] = await Promise.all([
      page.waitForEvent('download'),
      page.getByRole('button', { name: 'Sheet (CSV)' }).click(),
    ]);
    expect(download.suggestedFilename()).toBe('lynxeye-log.csv');
    await expectNoAxeFindings(page, 'the long log');
  },
);
