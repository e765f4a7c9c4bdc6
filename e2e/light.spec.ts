import { writeFileSync } from 'node:fs';
import type { Locator, Page } from '@playwright/test';
import { jpegWith, jpegWithout } from './photos/makePhoto';
import { allWords, expect, open, openAlone, test, tile, undoUntil, WHOLE } from './fixture';

const SUN_GATE = '/bench?shot=demo-05&part=light';
const block = (page: Page): Locator => page.getByRole('slider', { name: 'The shot in time' });
const brief = (page: Page): Locator => page.getByRole('group', { name: 'The brief' });

/** The framework keeps an empty alert of its own. */
const complaint = (page: Page, hasText: string | RegExp): Locator =>
  page.getByRole('alert').filter({ hasText });

async function choose(page: Page, button: string, name: string, buffer: Buffer): Promise<void> {
  const choosing = page.waitForEvent('filechooser');
  await page.getByRole('button', { name: button, exact: true }).click();
  await (await choosing).setFiles({ name, mimeType: 'application/octet-stream', buffer });
}

test(
  'the sun reaches the gorge at its hours, the filter is argued, and the shot moves through the day',
  WHOLE,
  async ({ page }) => {
    await open(page, SUN_GATE);
    await expect(block(page)).toHaveAttribute(
      'aria-valuetext',
      /^Sat 3 Oct 2026, 12:40–13:10, light 10\.\d to 15\.\d$/,
    );
    const ribbon = page.getByRole('group', { name: /^Ribbon/ });
    await expect(ribbon).toContainText('11:20');
    await expect(ribbon).toContainText('14:40');
    await expect(ribbon).toContainText('window of the setting, ND16');
    await block(page).focus();
    await page.keyboard.press('ArrowRight');
    await expect(brief(page)).toContainText('12:45–13:15');
    for (let step = 0; step < 5; step++) await page.keyboard.press('Shift+ArrowRight');
    await expect(brief(page)).toContainText('15:15–15:45');
    // The sun has left the gorge: the brightest light falls by stops, and the answer follows.
    await expect(block(page)).toHaveAttribute('aria-valuetext', /light 10\.\d to 10\.\d/);
    await expect(tile(page, 'Filter')).not.toContainText('ND8');
    await undoUntil(page, (timeout) => expect(brief(page)).toContainText('12:40–13:10', { timeout }));

    await page.getByRole('button', { name: 'Filters', exact: true }).click();
    await expect(
      page.getByText(
        /^ND32, shutter held at .* beats ND16, shutter running from .*, by loss \d\.\d against \d\.\d/,
      ),
    ).toBeVisible();
    await page.getByRole('button', { name: /^Take ND16, shutter running/ }).click();
    await expect(tile(page, 'Filter')).toContainText('ND16');
    await expect(tile(page, 'Shutter')).toContainText('auto');
  },
);

test(
  'on the Sunday the clocks go back every time is right, on both sides of the change',
  WHOLE,
  async ({ page }) => {
    await openAlone(page, 'demo-05', 'light');
    const day = page.getByLabel('Day', { exact: true });
    await day.fill('2026-10-25');
    await day.press('Enter');
    await expect(brief(page)).toContainText('Sun 25 Oct 2026, 12:40–13:10');
    await expect(page.getByText('Europe/Rome, GMT+1')).toBeVisible();
    // Thirteen hours and forty minutes since midnight, for the night had one hour twice.
    await expect(block(page)).toHaveAttribute('aria-valuenow', '820');
    await expect(block(page)).toHaveAttribute('aria-valuemax', '1500');

    const from = page.getByLabel('From', { exact: true });
    await from.fill('01:30');
    await from.press('Enter');
    await expect(brief(page)).toContainText('01:30–13:10');
    const to = page.getByLabel('To', { exact: true });
    await to.fill('02:00');
    await to.press('Enter');
    await expect(brief(page)).toContainText('01:30–02:00');
    await block(page).focus();
    for (const next of ['02:30–02:00', '02:30–03:00', '03:30–04:00']) {
      await page.keyboard.press('Shift+ArrowRight');
      await page.keyboard.press('Shift+ArrowRight');
      await expect(brief(page)).toContainText(next);
    }
    await expect(page.getByText('Europe/Rome, GMT+1')).toBeVisible();
  },
);

test(
  'a place is found by name or coordinates, brings its clock and mains, and nonsense changes nothing',
  WHOLE,
  async ({ page }) => {
    await openAlone(page, 'demo-05', 'light');
    await allWords(page);
    const place = page.getByRole('combobox', { name: 'Place, by name or coordinates' });
    await place.fill('43°04′N 141°21′E');
    await place.press('Enter');
    await expect(page.getByText('Asia/Tokyo, GMT+9')).toBeVisible();
    await expect(brief(page)).toContainText('43.0667° N, 141.3500° E, Sat 3 Oct 2026, 12:40–13:10');
    await place.fill('quito');
    await page.getByText(/^Quito, EC/).click();
    await expect(brief(page)).toContainText('Quito, Sat 3 Oct 2026, 12:40–13:10');
    await expect(brief(page)).toContainText('60 Hz');
    await place.fill('95, 12');
    await place.blur();
    await expect(complaint(page, 'latitude 95 is beyond 90°. The place stays Quito.')).toBeVisible();
    await expect(brief(page)).toContainText('Quito');
  },
);

test(
  'the simulated forecast widens the light, says what it is, and an hour of the person’s own stays',
  WHOLE,
  async ({ page }) => {
    await open(page, SUN_GATE);
    await page.getByRole('button', { name: 'Ask the simulated forecast' }).click();
    await expect(page.getByText(/^Simulated forecast: made up, not weather/)).toBeVisible();
    const noon = page.getByRole('slider', { name: 'Cloud at 12:00' });
    await expect(noon).toHaveAttribute('aria-valuetext', /forecast, give or take/);
    await noon.focus();
    for (let step = 0; step < 3; step++) await page.keyboard.press('Shift+ArrowUp');
    await expect(noon).toHaveAttribute('aria-valuetext', /^(7|8)\d % by you/);
    await page.getByRole('button', { name: 'Ask the simulated forecast' }).click();
    await expect(page.getByText(/Hours you set yourself stay/)).toBeVisible();
    await expect(noon).toHaveAttribute('aria-valuetext', /^(7|8)\d % by you/);
    await page.getByRole('button', { name: /^Forget it/ }).click();
    await expect(noon).toHaveAttribute('aria-valuetext', 'as the sentence has it');
  },
);

test(
  'the horizon is drawn, the camera is turned into the sun, and both are told',
  WHOLE,
  async ({ page }) => {
    await open(page, SUN_GATE);
    const ribbon = page.getByRole('group', { name: /^Ribbon/ });
    const corner = page.getByRole('slider', { name: 'Corner 2 of the horizon' });
    await corner.focus();
    for (let step = 0; step < 2; step++) await page.keyboard.press('Shift+ArrowUp');
    await expect(ribbon).not.toContainText('11:20');
    await page.getByRole('button', { name: 'Clear it' }).click();
    await expect(page.getByText('Nothing stands around.')).toBeVisible();
    await page.getByRole('button', { name: 'A gorge, sun from' }).click();
    await expect(ribbon).toContainText('15:00');

    await expect(page.getByText(/this tells whether a polarizer is worth its stops/)).toBeVisible();
    await page.getByRole('button', { name: 'Say where the camera looks' }).click();
    await expect(page.getByText(/^Polarizer\. Sky \d+° from the sun/)).toBeVisible();
    const heading = page.getByRole('slider', { name: 'Where the camera looks' });
    await heading.focus();
    for (let step = 0; step < 2; step++) await page.keyboard.press('Shift+ArrowLeft');
    await page.getByRole('button', { name: 'The choice' }).click();
    // At noon it stands about as high as the frame's upper edge: in it or just above, as the chosen view has it.
    await expect(
      page.getByText(
        /Sun (in the frame for 100 % of the run|just outside the frame, by \d+°), 12:40 to 13:10/,
      ),
    ).toBeVisible();
  },
);

test(
  'a photograph gives its light without leaving the page; without data, broken or huge it says so',
  WHOLE,
  async ({ page }) => {
    await openAlone(page, 'demo-04', 'readings');
    const shown = {
      fNumber: [28, 10] as [number, number],
      exposureTime: [1, 500] as [number, number],
      iso: 100,
    };
    await choose(page, 'A photograph', 'gorge.jpg', Buffer.from(jpegWith(shown)));
    const card = page.getByRole('region', { name: 'gorge.jpg' });
    await expect(card).toContainText('f/2.8, 1/500 s, ISO 100, offset -0.3: it saw EV 11.94');
    await expect(card).toContainText(/The picture came out .* mid grey/);
    await card.getByRole('spinbutton', { name: 'Filter that was on' }).fill('3');
    await page.keyboard.press('Tab');
    await expect(card).toContainText('EV 14.94');
    await card.getByRole('button', { name: 'Add as a reading' }).click();
    await expect(brief(page)).toContainText('1 reading');
    await page.getByRole('button', { name: 'A meter in lux' }).click();
    await expect(brief(page)).toContainText('2 readings');

    await choose(page, 'A photograph', 'shared.jpg', Buffer.from(jpegWithout()));
    await expect(complaint(page, 'carries no exposure data (EXIF)')).toBeVisible();
    await choose(page, 'A photograph', 'torn.heic', Buffer.from('not a picture'));
    await expect(complaint(page, 'no photograph that can be read')).toBeVisible();

    // Forty megabytes are read by a worker, which leaves the page free.
    const huge = test.info().outputPath('huge.jpg');
    writeFileSync(huge, Buffer.concat([Buffer.from(jpegWith(shown)), Buffer.alloc(40_000_000)]));
    const working = page.waitForEvent('worker');
    const choosing = page.waitForEvent('filechooser');
    await page.getByRole('button', { name: 'A photograph', exact: true }).click();
    await (await choosing).setFiles(huge);
    await working;
    await expect(page.getByRole('region', { name: 'huge.jpg' })).toContainText('EV 11.94');

    await page
      .getByRole('region', { name: 'huge.jpg' })
      .getByRole('button', { name: /^Take its place and time/ })
      .click();
    await expect(brief(page)).toContainText('46.6200° N, 12.3000° W, Sat 3 Oct 2026, 12:40');
  },
);

test(
  'a track of 20,000 points is dropped on the page and gives speed, headings and light; a damaged one says where',
  WHOLE,
  async ({ page }) => {
    await open(page, '/bench?shot=demo-04');
    const start = Date.parse('2026-09-12T09:00:00Z');
    const points = Array.from({ length: 20_000 }, (_, at) => {
      const time = new Date(start + at * 500).toISOString();
      return `<trkpt lat="${(46.6 + at * 2e-5).toFixed(6)}" lon="12.3"><ele>${900 - at / 100}</ele><time>${time}</time></trkpt>`;
    });
    const gpx = `<gpx><trk><name>Down the valley</name><trkseg>\n${points.join('\n')}\n</trkseg></trk></gpx>`;
    const working = page.waitForEvent('worker');
    await page.evaluate((text) => {
      const data = new DataTransfer();
      data.items.add(new File([text], 'valley.gpx'));
      window.dispatchEvent(new DragEvent('drop', { dataTransfer: data, cancelable: true, bubbles: true }));
    }, gpx);
    await working;
    await expect(page).toHaveURL(/part=readings/);
    const card = page.getByRole('region', { name: 'Down the valley' });
    await expect(card).toContainText(/20000 points, 44\.\d+ km/);
    await expect(card).toContainText(/Sat 12 Sept 2026, 11:00–13:47/);
    await expect(card).toContainText(/slower than 4\.4 m\/s, nine tenths than 4\.4 m\/s/);
    await expect(card).toContainText('sun behind the camera, for a camera that looks ahead');
    await card.getByLabel('Go it on').fill('2026-10-25');
    await card.getByLabel('starting at').fill('08:00');
    await card.getByText('Minute by minute').click();
    await expect(card.getByRole('row', { name: /^08:00 4\.4 m\/s 0° sun from the side/ })).toBeVisible();
    await card.getByRole('button', { name: 'Take light and speed into the shot' }).click();
    await expect(brief(page)).toContainText('Sun 25 Oct 2026, 08:00–10:47');
    await allWords(page);
    await expect(brief(page).getByRole('spinbutton', { name: /^Travel/ })).toHaveValue('4.4');

    await choose(page, 'A track', 'torn.gpx', Buffer.from(gpx.slice(0, 60_000)));
    await expect(complaint(page, /^torn\.gpx, line \d+: it stops being XML here/)).toBeVisible();
  },
);

test('lamps: the safe shutter is marked and priced, and a face is lit', WHOLE, async ({ page }) => {
  await open(page, '/bench?shot=demo-08&part=lamps');
  await expect(page.getByRole('img', { name: 'Shutters free of flicker' })).toContainText('1/100 steady');
  await expect(page.getByText('The light pulses at 100 Hz; 1/50 s keeps none of it.')).toBeVisible();
  await expect(page.getByText('Steady under the lamps.')).toBeVisible();
  await expect(page.getByRole('row', { name: /^30 fps 0 Hz, standing bands 17 %/ })).toBeVisible();
  await page.getByRole('button', { name: 'Take 1/100 s' }).click();
  await expect(tile(page, 'Shutter')).toContainText('1/100');

  const face = page.getByRole('region', { name: 'A face against the light' });
  await face.getByRole('spinbutton', { name: 'Background' }).fill('10');
  await page.keyboard.press('Tab');
  await expect(face).toContainText('The face lies 4.0 stops under its background. It needs 905 lux in all');
  await expect(face).toContainText('this lamp gives that from 0.5 m');
});

test(
  'a filter is measured with two readings, and the shots that carry it follow',
  WHOLE,
  async ({ page }) => {
    await open(page, '/kit?item=demo-kit-filter-nd16');
    await page.getByText('Measure it with two readings').click();
    await page.getByRole('spinbutton', { name: 'Shutter with, 1 over' }).fill('80');
    await page.keyboard.press('Tab');
    await expect(page.getByText('It takes 4.32 stops; its label says 4, 0.3 more than that.')).toBeVisible();
    await page.getByRole('button', { name: 'Keep 4.32 stops as measured' }).click();
    await expect(page.getByRole('spinbutton', { name: 'Measured' })).toHaveValue('4.32');
    await open(page, '/bench?shot=demo-05');
    await expect(tile(page, 'Filter')).toContainText('4.3 stops');
  },
);
