import { expect, open, test } from './fixture';
import { settled, wordsOver } from './layout';
import { longNames } from './longNames';
import { OUTING, SAMPLE } from './places';

/** A laptop, a phone, and the narrowest phone that is still about. */
const SIZES = [
  { width: 1280, height: 800 },
  { width: 390, height: 844 },
  { width: 360, height: 740 },
];
const VIEWS = [...SAMPLE, `/outing?${OUTING}&day=sunday&part=shots`];
const PARTS = [0, 1];

for (const part of PARTS)
  test(`no words stand over others in any drawing or list, with names as long as may be, part ${part + 1}`, async ({
    page,
  }) => {
    await open(page, '/');
    await longNames(page);
    const found: string[] = [];
    for (const place of VIEWS.filter((_, at) => at % PARTS.length === part)) {
      await page.setViewportSize(SIZES[0]!);
      await open(page, place);
      await settled(page);
      for (const size of SIZES) {
        await page.setViewportSize(size);
        await settled(page);
        for (const over of await wordsOver(page)) found.push(`${place} ${size.width}: ${over}`);
      }
    }
    expect(found).toEqual([]);
  });
