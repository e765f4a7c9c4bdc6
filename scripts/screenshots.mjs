/**
 * Takes the pictures of docs/screenshots from the demo shots. Needs a build; starts and ends its own server. Names given to
 * it choose among them: `npm run screenshots bench-preview` takes those that begin so.
 */
import { chromium } from '@playwright/test';
import { browserPath, root, startServer } from './steps.mjs';

const PORT = '4632';
const VIEWS = [
  ['start', '/', 1280, 800],
  ['bench-whole', '/bench?shot=demo-13', 1280, 800, { whole: true }],
  ['bench-preview-pulse', '/bench?shot=demo-02&part=preview', 1280, 1900, { part: true, preview: true }],
  ['bench-light', '/bench?shot=demo-05&part=light', 1280, 800, { part: true }],
  [
    'kit-worth',
    '/kit?item=worth',
    1280,
    800,
    {
      prices: [
        ['ND64 for Shrew', 25],
        ['ND256 for Otter', 30],
      ],
    },
  ],
  ['practice', '/practice?part=eye', 1280, 800, { pair: true }],
  ['drill', '/practice', 390, 844, { drill: true }],
  ['reasons', '/reasons?page=steadiness&shot=demo-02', 1280, 1100],
  ['kit-learned', '/kit?item=learned', 1280, 800],
  ['kit', '/kit?item=demo-kit-otter', 1280, 800, { wishes: ['4K tall', '60 fps', 'full-roll hold'] }],
  ['outing', '/outing?outing=demo-outing&day=saturday&entry=sat-10', 1280, 1060],
  ['rehearsal', '/rehearsal?outing=demo-outing&day=sunday', 1280, 2300],
  ['carry', '/carry?outing=demo-outing&day=saturday&card=sat-10', 390, 844],
  ['camera', '/camera?outing=demo-outing&day=saturday&camera=otter', 1280, 800, { standIn: true }],
  ['debrief', '/debrief?outing=demo-holm&day=holm-day', 1280, 800],
  ['debrief-clip', '/debrief?outing=demo-holm&day=holm-day&clip=demo-clip-1', 1280, 1240],
  ['log', '/log', 1280, 800],
  ['handover', '/handover', 1280, 1000],
  ['instrument', '/instrument?shot=demo-02&part=level', 390, 844, { level: true }],
];

const asked = process.argv.slice(2);
const views = VIEWS.filter(([name]) => asked.length === 0 || asked.some((one) => name.startsWith(one)));

const server = await startServer(PORT);
const browser = await chromium.launch({ executablePath: browserPath() });
for (const [name, path, width, height, how = {}] of views) {
  const { theme = 'paper', whole = false, part = false, wishes = [], preview = false, standIn = false } = how;
  const { prices = [], pair = false, drill = false, level = false } = how;
  const permissions = level ? ['accelerometer', 'gyroscope', 'magnetometer'] : [];
  const page = await browser.newPage({ viewport: { width, height }, serviceWorkers: 'block', permissions });
  const open = async (url) => {
    await page.goto(`http://localhost:${PORT}${url}`);
    await page.locator('main[data-ready="true"]').waitFor();
  };
  await open('/');
  if (theme !== 'paper') {
    await page.getByRole('button', { name: 'Menu' }).click();
    await page.getByRole('menuitem', { name: new RegExp(theme, 'i') }).click();
  }
  await open(path);
  await page.waitForLoadState('networkidle');
  for (const wish of wishes)
    await page.getByRole('group', { name: 'Wishes' }).getByRole('button', { name: wish }).first().click();
  if (preview) {
    await page.locator('[data-fine="true"]').waitFor({ timeout: 90_000 });
    await page.getByRole('button', { name: 'Freeze' }).click();
    await page.getByRole('slider', { name: 'Frame of the film' }).fill('8');
  }
  for (const [thing, price] of prices) {
    await page.getByLabel(`Price of ${thing}`).fill(String(price), { timeout: 60_000 });
    await page.keyboard.press('Enter');
  }
  if (prices.length > 0) await page.evaluate(() => scrollTo(0, 0));
  if (pair) {
    await page.getByRole('button', { name: 'Begin' }).click();
    for (const at of [1, 2, 3]) {
      await page.getByRole('heading', { name: `Pair ${at} of` }).waitFor();
      await page.locator('button[aria-label="A is better"]:enabled').waitFor({ timeout: 60_000 });
      if (at < 3) await page.keyboard.press('b');
    }
    await page.getByRole('button', { name: 'Freeze' }).click();
    await page.waitForTimeout(20_000);
    await page.evaluate(() => scrollTo(0, 0));
  }
  if (drill) {
    await page.getByRole('button', { name: 'Three drills' }).click();
    // The first drill of the demo has nothing to be seen; the second has.
    for (const more of [true, false]) {
      await page.getByRole('group', { name: 'Answers' }).getByRole('button').last().click();
      if (more) await page.getByRole('button', { name: 'Next' }).click();
    }
    await page.getByRole('button', { name: 'Freeze' }).click({ timeout: 60_000 });
  }
  if (level) {
    await page.evaluate(() => {
      // Held 6° clockwise, looking 17° down.
      const accelerationIncludingGravity = { x: -0.98, y: 9.33, z: 2.87 };
      setInterval(
        () => dispatchEvent(new DeviceMotionEvent('devicemotion', { accelerationIncludingGravity })),
        16,
      );
    });
    await page.getByRole('button', { name: 'Begin' }).click();
    await page.getByRole('button', { name: /^Keep/ }).waitFor();
  }
  if (standIn) {
    await open('/carry?outing=demo-outing&day=saturday&codes=otter');
    const code = await page.getByRole('img', { name: /^Code of/ }).screenshot();
    await open(path);
    const choosing = page.waitForEvent('filechooser');
    await page.getByRole('button', { name: 'From a picture' }).click();
    await (await choosing).setFiles({ name: 'code.png', mimeType: 'image/png', buffer: code });
    await page.getByRole('button', { name: 'Start', exact: true }).click();
    await page.waitForTimeout(2500);
    await page.getByRole('button', { name: 'Stop', exact: true }).click();
    await page.getByRole('button', { name: 'Start', exact: true }).click();
    await page.waitForTimeout(2500);
  }
  // The day is worked out by a worker.
  if (path.includes('outing=')) await page.waitForTimeout(2500);
  await page.locator('main [aria-busy="true"]').first().waitFor({ state: 'detached' });
  // So do the answers of a list.
  await page.getByText('…', { exact: true }).first().waitFor({ state: 'detached' });
  // The pictures show the place as it is after the first run.
  const hints = page.getByRole('button', { name: 'Dismiss this hint' });
  for (let left = await hints.count(); left > 0; left -= 1) {
    await hints.first().dispatchEvent('click');
    await hints.nth(left - 1).waitFor({ state: 'detached' });
  }
  if (part) await page.locator('#bench-part').evaluate((open) => open.scrollIntoView());
  await page.waitForTimeout(500);
  await page.screenshot({ path: `${root}docs/screenshots/${name}.png`, fullPage: whole });
  await page.close();
}
await browser.close();
server.kill();
