import type { Locator, Page } from '@playwright/test';
import { allWords, expect, open, test, tile, undoUntil, WHOLE } from './fixture';

const panel = (page: Page): Locator => page.getByRole('region', { name: 'See it before you ride' });
const drawn = (page: Page): Locator =>
  panel(page)
    .getByRole('status')
    .filter({ hasText: /^Drawn/ });
/** Mean luma of a part of the stage, shares of its width. */
const brightness = (page: Page, from: number, to: number): Promise<number> =>
  panel(page)
    .getByRole('img', { name: /^Simulated picture/ })
    .evaluate(
      (canvas, [a, b]) => {
        const { width, height } = canvas as HTMLCanvasElement;
        const data = (canvas as HTMLCanvasElement)
          .getContext('2d')!
          .getImageData(Math.round(width * a!), 0, Math.round(width * (b! - a!)), height).data;
        let sum = 0;
        for (let at = 1; at < data.length; at += 4) sum += data[at]!;
        return sum / (data.length / 4);
      },
      [from, to],
    );

test(
  'the shot is seen beside another way of filming it, divided, whole, marked and under the loupe',
  WHOLE,
  async ({ page }) => {
    await open(page, '/bench?shot=demo-04&part=preview');
    await expect(drawn(page)).toBeVisible();
    await expect(panel(page).getByText('the shutter at 180°').first()).toBeVisible();
    await page.getByRole('button', { name: 'Freeze' }).click();
    // Without a filter 1/400 s is four stops and more too bright: its half burns out, the answer's does not.
    await expect.poll(() => brightness(page, 0.55, 1)).toBeGreaterThan(220);
    expect(await brightness(page, 0, 0.45)).toBeLessThan(170);
    await expect(panel(page).getByText(/^B.*burnt out (8|9)\d/)).toBeVisible();

    // The divide is moved by keyboard and by hand.
    const divide = panel(page).getByRole('slider', { name: 'Divide' });
    await divide.focus();
    await page.keyboard.press('Home');
    await expect.poll(() => brightness(page, 0.05, 0.45)).toBeGreaterThan(220);
    const picture = panel(page).getByRole('img', { name: /^Simulated picture/ });
    await picture.scrollIntoViewIfNeeded();
    const stage = (await picture.boundingBox())!;
    await page.mouse.move(stage.x + 5, stage.y + 40);
    await page.mouse.down();
    await page.mouse.move(stage.x + stage.width * 0.9, stage.y + 40, { steps: 4 });
    await page.mouse.up();
    await expect(divide).toHaveAttribute('aria-valuenow', '0.9');
    await expect.poll(() => brightness(page, 0.05, 0.45)).toBeLessThan(170);

    await panel(page).getByText('both whole').click();
    await expect.poll(() => brightness(page, 0.55, 1)).toBeGreaterThan(220);
    for (const toggle of ['Mark burnt out and crushed', 'Draw the blur', 'Loupe']) {
      const button = panel(page).getByRole('button', { name: toggle });
      await button.click();
      await expect(button).toHaveAttribute('aria-pressed', 'true');
    }
    await panel(page).getByRole('slider', { name: 'Loupe across' }).press('ArrowRight');

    // Frames are stepped, and each is told.
    const place = panel(page).getByRole('slider', { name: 'Frame of the film' });
    const before = Number(await place.inputValue());
    await page.getByRole('button', { name: 'One frame on' }).click();
    await expect(place).toHaveValue(String((before + 1) % 50));
    await expect(panel(page).getByText(`${((before + 1) % 50) + 1} of 50`)).toBeVisible();

    const download = page.waitForEvent('download');
    await panel(page).getByRole('button', { name: 'Save a sheet of both as PNG' }).click();
    expect((await download).suggestedFilename()).toBe('weir-drop-stills.png');
  },
);

test(
  'a rough helmet ride pulses at 180° and not at 1/200 s; slowed, 30 fps repeats frames and 50 does not',
  WHOLE,
  async ({ page }) => {
    await open(page, '/bench?shot=demo-02&part=preview');
    await expect(drawn(page)).toBeVisible();
    const pulse = async (side: 'A' | 'B'): Promise<number> => {
      const line = await panel(page)
        .getByText(new RegExp(`^${side}.*sharpness comes and goes by`))
        .innerText();
      return Number(/by ([\d.]+) %/.exec(line)![1]);
    };
    // A is the answer, no longer than 1/200 s; B is held at 180°. This light is wider than either holds, so that bright
    // and dark stretches come and go in both; what smear alone does, the tests of the preview's core hold.
    expect(await pulse('B')).toBeGreaterThan(await pulse('A'));
    await expect(panel(page).getByRole('row', { name: /^Smear of the shake at its peak/ })).toContainText(
      'comes and goes on the steadied picture',
    );

    await allWords(page);
    const slowed = page.getByRole('spinbutton', { name: /^Slowed/ });
    await slowed.fill('2');
    await slowed.press('Enter');
    await expect(tile(page, 'Frame rate')).toContainText('50');
    await panel(page).getByRole('combobox', { name: 'Beside the answer' }).click();
    await page.getByTitle('filmed at 30 fps').click();
    await expect(drawn(page)).toBeVisible();
    await expect(panel(page).getByText(/^B.*filmed at 30 fps.*; 20 of 50 frames only repeat/)).toBeVisible();
    await expect(panel(page).getByText(/^A.*only repeat/)).toHaveCount(0);
  },
);

test('drawn live, the picture is the one the workers draw', async ({ page }) => {
  // The software that draws here takes its time by the pixel.
  await page.setViewportSize({ width: 480, height: 800 });
  await open(page, '/bench?shot=demo-03&part=preview');
  await expect(drawn(page)).toBeVisible();
  await page.getByRole('button', { name: 'Freeze' }).click();
  await panel(page).getByText('both whole').click();
  // Blocks of the picture, so that neither noise nor the finer surfaces of a card count.
  const blocks = (): Promise<number[]> =>
    panel(page)
      .getByRole('img', { name: /^Simulated picture/ })
      .evaluate((canvas) => {
        const small = document.createElement('canvas');
        small.width = 24;
        small.height = 7;
        const context = small.getContext('2d')!;
        context.imageSmoothingQuality = 'high';
        context.drawImage(canvas as HTMLCanvasElement, 0, 0, 24, 7);
        return [...context.getImageData(0, 0, 24, 7).data];
      });
  const slow = await blocks();
  await panel(page).getByRole('button', { name: 'Draw live' }).click();
  await page.getByRole('button', { name: 'One frame on' }).click();
  await page.getByRole('button', { name: 'One frame back' }).click();
  const live = await blocks();
  const off = slow.map((value, at) => Math.abs(value - live[at]!)).sort((a, b) => a - b);
  expect(off[Math.floor(off.length / 2)], 'half the blocks').toBeLessThan(5);
  expect(off[Math.floor(off.length * 0.95)], 'nearly all blocks').toBeLessThan(28);
  expect(
    Math.max(...live) - Math.min(...live.filter((_, at) => at % 4 !== 3)),
    'something is drawn',
  ).toBeGreaterThan(60);
});

test(
  'while it draws the page stays responsive, and a change takes the place of what was drawn',
  WHOLE,
  async ({ page, browser }) => {
    await open(page, '/bench?shot=demo-05&part=preview');
    await expect(drawn(page)).toBeVisible();
    await expect(panel(page).getByRole('status').filter({ hasText: 'Drawn.' })).toBeVisible();
    await browser.startTracing(page, { categories: ['toplevel', 'devtools.timeline'] });
    await panel(page).getByText('brightest', { exact: true }).click();
    await expect(panel(page).getByRole('status').filter({ hasText: 'Drawing frame' })).toBeVisible();
    await panel(page).getByText('darkest', { exact: true }).click();
    await expect(drawn(page)).toBeVisible();
    const trace = JSON.parse((await browser.stopTracing()).toString()) as {
      traceEvents: {
        name: string;
        tid: number;
        pid: number;
        ph: string;
        ts: number;
        dur?: number;
        tdur?: number;
        args?: { name?: string; data?: { url?: string } };
      }[];
    };
    const events = trace.traceEvents;
    const main = events.filter(({ name, args }) => name === 'thread_name' && args?.name === 'CrRendererMain');
    const onMain = (event: { pid: number; tid: number }): boolean =>
      main.some(({ pid, tid }) => pid === event.pid && tid === event.tid);
    // Time on the processor, so that another program's turn does not count as ours.
    const took = (event: { dur?: number; tdur?: number }): number => (event.tdur ?? event.dur ?? 0) / 1000;
    const ours = events.filter(
      (event) =>
        event.name === 'FunctionCall' && onMain(event) && (event.args?.data?.url ?? '').includes('/_next/'),
    );
    expect(ours.length, 'the trace holds calls of our code').toBeGreaterThan(10);
    const longest = ours.reduce((most, event) => Math.max(most, took(event)), 0);
    const begun = events.map(({ ts }) => ts).filter((ts) => ts > 0);
    const [first, last] = begun.reduce(
      ([least, most], ts) => [Math.min(least, ts), Math.max(most, ts)],
      [Infinity, 0],
    );
    const whole = (last - first) / 1000;
    test.info().annotations.push({
      type: 'longest call',
      description: `${Math.round(longest)} ms of ${Math.round(whole)} ms`,
    });
    expect(longest / whole, 'share of the longest call on the main thread').toBeLessThan(0.1);
  },
);

test.describe('with less movement asked for', () => {
  test.use({ contextOptions: { reducedMotion: 'reduce' } });
  test('nothing plays by itself, and the film is stepped', async ({ page }) => {
    await open(page, '/bench?shot=demo-10&part=preview');
    await expect(drawn(page)).toBeVisible();
    await expect(page.getByRole('button', { name: 'Play' })).toBeVisible();
    const place = panel(page).getByRole('slider', { name: 'Frame of the film' });
    await expect(place).toHaveValue('0');
    await place.press('ArrowRight');
    await expect(place).toHaveValue('1');
    await page.getByRole('button', { name: 'Play' }).click();
    await expect(page.getByRole('button', { name: 'Freeze' })).toBeVisible();
    await expect.poll(() => place.inputValue()).not.toBe('1');
  });
});

test('trade-offs: the shutter is dragged and nudged along what it costs', WHOLE, async ({ page }) => {
  await open(page, '/bench?shot=demo-08&part=tradeOff');
  const region = page.getByRole('region', { name: 'What the shutter trades' });
  await expect(region.getByText('steady under the lamps 1/50 s')).toBeVisible();
  await expect(region.getByText(/^180° at 1\/50 s/)).toBeVisible();
  const shutter = region.getByRole('slider', { name: /^Shutter/ });
  await expect(shutter).toHaveAttribute('aria-valuetext', /^1\/50 s, loss/);
  await shutter.focus();
  await page.keyboard.press('ArrowLeft');
  await expect(tile(page, 'Shutter')).toContainText('1/60');
  await expect(region.getByText(/The least loss is at/)).toBeVisible();

  const chart = region.getByRole('img', { name: /^Loss over the shutter/ });
  await chart.scrollIntoViewIfNeeded();
  const box = (await chart.boundingBox())!;
  await page.mouse.move(box.x + box.width * 0.9, box.y + 100);
  await page.mouse.down();
  await page.mouse.move(box.x + box.width * 0.5, box.y + 100, { steps: 6 });
  await page.mouse.up();
  await expect(shutter).toHaveAttribute('aria-valuetext', /^1\/\d{3,4} s/);
  await expect(tile(page, 'Shutter')).toContainText(/1\/\d{3,4}/);
  await expect(region.getByRole('img', { name: /^What each filter gives/ })).toBeVisible();
  await undoUntil(page, (timeout) =>
    expect(shutter).toHaveAttribute('aria-valuetext', /^1\/(60|50) s/, { timeout }),
  );
});

test(
  'a whip pair says how fast to turn; a half at another shutter angle is flagged, and both are set alike',
  WHOLE,
  async ({ page }) => {
    await open(page, '/bench?shot=demo-07&part=pair');
    const region = page.getByRole('region', { name: 'Two halves that join' });
    await expect(region.getByText(/^The halves join\./)).toBeVisible();
    await expect(
      region.getByText(/For a blur of 10 % at 1\/50 s, turn right at 560°\/s: a quarter turn in 0\.16 s/),
    ).toBeVisible();
    await expect(region.getByRole('img', { name: /^Simulated picture/ })).toBeVisible();

    // The second half is a shot of its own on the Bench; its shutter is pinned short.
    await page.getByRole('link', { name: 'To the hut door' }).click();
    await expect(page).toHaveURL(/angle=1/);
    const shutter = tile(page, 'Shutter');
    await shutter.focus();
    for (let press = 0; press < 6; press++) await page.keyboard.press('ArrowUp');
    await expect(shutter).toContainText(/1\/(160|200|250)/);
    await page.getByRole('button', { name: 'Pair', exact: true }).click();
    await expect(region.getByText(/^They do not join yet\./)).toBeVisible();
    await expect(region.getByRole('row', { name: /Shutter as shown/ })).toContainText(
      'one looks choppy beside the other',
    );
    await expect(region.getByText(/in the second at/)).toBeVisible();
    await region.getByRole('button', { name: 'Set both halves alike' }).click();
    await expect(region.getByText(/^The halves join\./)).toBeVisible();
    await page.getByRole('button', { name: /^Undo/ }).click();
    await expect(region.getByText(/^They do not join yet\./)).toBeVisible();
    await region.getByRole('button', { name: /^Part the pair/ }).click();
    await expect(page.getByRole('heading', { name: 'A shot that joins another' })).toBeVisible();
    await page.getByRole('button', { name: 'cover the lens' }).click();
    await expect(region).toBeVisible();
  },
);

test('angles that cut together are suggested with their pace, and made', WHOLE, async ({ page }) => {
  await open(page, '/bench?shot=demo-02&part=coverage');
  const region = page.getByRole('region', { name: 'Angles on this action' });
  await expect(region.getByText(/^Near, for speed/)).toBeVisible();
  await expect(region.getByText(/It feels fast up to/).first()).toBeVisible();
  await region.getByRole('checkbox', { name: /^Wide, riding along/ }).uncheck();
  await region.getByRole('button', { name: 'Make these 3 shots' }).click();
  await expect(page.getByText('Made 3 shots. Undo takes them back.')).toBeVisible();
  await open(page, '/');
  await expect(page.getByRole('link', { name: /Upper gorge run, near/ }).first()).toBeVisible();
});

test(
  'a time-lapse gets its interval, shutter, filter and storage; a loop says how long one may wait',
  WHOLE,
  async ({ page }) => {
    await open(page, '/bench?shot=demo-09&part=lapse');
    const timeLapse = page.getByRole('region', { name: 'Time-lapse' });
    await expect(timeLapse.getByText('1801 pictures at 25 frames a second')).toBeVisible();
    await expect(timeLapse.getByText(/^Open for 2 s at most, as the light asks/)).toBeVisible();
    await timeLapse.getByRole('button', { name: /^Interval for a clip of 20 s: 11 s/ }).click();
    await expect(timeLapse.getByText(/^49\d pictures/)).toBeVisible();
    const loop = page.getByRole('region', { name: 'Loop' });
    await expect(loop.getByText(/^After the event has ended you may press for 3 min/)).toBeVisible();
    const keeps = loop.getByRole('spinbutton', { name: 'Keeps the last' });
    await keeps.fill('1');
    await keeps.press('Enter');
    await expect(loop.getByText(/^The loop is too short for this event/)).toBeVisible();
  },
);
