import type { Locator, Page } from '@playwright/test';
import { expect, expectNoAxeFindings, open, test, tile, WHOLE } from './fixture';
import { settled } from './layout';

/**
 * What a person comes to do, from the place where they are to the answer in hand, each action counted: a press, a choice
 * from a list (two: opening it, and what is taken), a field filled.
 */
class Hand {
  actions = 0;

  constructor(readonly page: Page) {}

  async press(thing: Locator): Promise<void> {
    await thing.click();
    this.actions += 1;
  }

  async pressButton(name: string | RegExp): Promise<void> {
    await this.press(
      this.page.getByRole('button', { name, ...(typeof name === 'string' ? { exact: true } : {}) }),
    );
  }

  async choose(list: string | RegExp, typed: string): Promise<void> {
    await this.page.getByRole('combobox', { name: list }).click();
    await this.page.keyboard.type(typed);
    await this.page.keyboard.press('Enter');
    this.actions += 2;
  }

  async fill(field: Locator, text: string): Promise<void> {
    await field.fill(text);
    await field.press('Enter');
    this.actions += 1;
  }
}

/** Walks by Tab alone to a thing of the page. */
async function tabTo(page: Page, thing: Locator, backwards = false): Promise<void> {
  await thing.waitFor();
  await expect(async () => {
    for (let steps = 0; steps < 120; steps += 1) {
      if (await thing.evaluate((element) => element === document.activeElement)) return;
      await page.keyboard.press(backwards ? 'Shift+Tab' : 'Tab');
    }
    throw new Error('not reached by Tab');
  }).toPass();
}

const button = (page: Page, name: string | RegExp): Locator => page.getByRole('button', { name });

test('talk, and walk on out of a whip: both halves set as the join needs', WHOLE, async ({ page }) => {
  const hand = new Hand(page);
  await open(page, '/');
  await hand.choose('The ride', 'talking to the camera, st');
  await hand.press(button(page, 'Keep and open on the Bench'));
  await page.waitForURL(/bench\?shot=/);
  await hand.press(button(page, 'Pair'));
  await hand.press(page.getByRole('button', { name: 'whip', exact: true }));
  const region = page.getByRole('region', { name: 'Two halves that join' });
  await expect(region.getByText(/^The halves join\./)).toBeVisible();
  expect(hand.actions).toBe(5);
});

test(
  'a day of playing in a hall from nothing: three shots and a break in order, ready to carry',
  WHOLE,
  async ({ page }) => {
    const hand = new Hand(page);
    await open(page, '/outing');
    await hand.press(button(page, 'More for this outing'));
    await hand.press(page.getByRole('menuitem', { name: 'New outing' }));
    await hand.fill(page.getByRole('combobox', { name: 'Place, by name or coordinates' }), '47.1, 11.2');
    await expect(page.getByText(/^Where is it\?/)).toBeHidden();
    const order = page.getByRole('region', { name: 'In order' });
    const name = page.getByRole('textbox', { name: 'Name of the shot' });
    for (const [at, shot] of ['Warm up', 'The match', 'Last rally'].entries()) {
      await hand.pressButton('Describe a new shot');
      await expect(name).toBeFocused();
      await hand.fill(name, shot);
      await hand.press(page.getByRole('link', { name: /^(Mon|Tue|Wed|Thu|Fri|Sat|Sun) / }));
      await expect(order.getByRole('listitem')).toHaveCount(at + 1);
    }
    await hand.press(button(page, 'Add a break'));
    await expect(order.getByRole('listitem')).toHaveCount(4);
    await hand.press(page.getByRole('link', { name: 'Carry this day' }));
    await expect(page.getByRole('heading', { name: 'Before the day' })).toBeVisible();
    expect(hand.actions).toBe(14);
  },
);

test('a near face: the camera that films it best is taken, with one press', WHOLE, async ({ page }) => {
  const hand = new Hand(page);
  await open(page, '/bench?shot=demo-08');
  const which = page.getByRole('region', { name: 'Which camera' });
  await hand.press(which.getByRole('button').first());
  await expect(button(page, /^Undo: /)).toBeVisible();
  expect(hand.actions).toBe(1);
});

test('mist rising: a time-lapse is kept, stands in the tiles and on the card', WHOLE, async ({ page }) => {
  const hand = new Hand(page);
  await open(page, '/');
  await hand.press(button(page, 'Keep and open on the Bench'));
  await page.waitForURL(/bench\?shot=/);
  await hand.press(button(page, 'Time-lapse'));
  await hand.choose('What changes', 'mist');
  await hand.press(button(page, /^Keep it as/));
  const answer = page.getByRole('region', { name: 'The answer' });
  await expect(answer).toContainText('Time-lapse. A picture every 3 s');
  await hand.press(page.getByRole('link', { name: 'Carry', exact: true }).last());
  await expect(page.getByText('A picture every 3 s', { exact: false })).toBeVisible();
  expect(hand.actions).toBe(6);
});

test('an answer is kept as a set-up of the camera, and taken into another shot', WHOLE, async ({ page }) => {
  const hand = new Hand(page);
  await open(page, '/bench?shot=demo-02');
  await hand.press(button(page, 'More for this shot'));
  await hand.press(page.getByRole('menuitem', { name: /^Keep as set-up/ }));
  await expectNoAxeFindings(page, 'keep as set-up');
  await hand.fill(page.getByRole('textbox', { name: 'Name on the camera' }), 'Gorge');
  await expect(page.getByText(/^Kept as set-up 1 "Gorge" of Otter/)).toBeVisible();
  expect(hand.actions).toBe(3);
  await open(page, '/bench?shot=demo-05&part=modes');
  await hand.press(button(page, 'Take 1: Gorge'));
  await expect(tile(page, 'Stabilization')).toHaveAccessibleName(/strong, pinned by you/);
  await open(page, '/kit?item=demo-kit-otter');
  await expect(page.getByRole('region', { name: 'Set-ups it holds' }).getByRole('textbox')).toHaveValue(
    'Gorge',
  );
});

test(
  'a second camera is chosen from the kit and placed, and both are solved together',
  WHOLE,
  async ({ page }) => {
    const hand = new Hand(page);
    await open(page, '/bench?shot=demo-05&part=cameras');
    await hand.choose('Where', 'tripod');
    await hand.press(button(page, 'Add a camera'));
    await expect(page.getByText('Shrew, tripod')).toBeVisible();
    await hand.press(button(page, 'Solve together'));
    await expect(button(page, 'They cut together')).toBeDisabled();
    expect(hand.actions).toBe(4);
  },
);

test('a shot in three words, to the card in the hand', async ({ page }) => {
  const hand = new Hand(page);
  await open(page, '/');
  await hand.choose('The ride', 'surfing');
  await hand.choose('The light', 'open sun all');
  await hand.choose('The playback', 'slowed 4');
  await hand.press(button(page, 'Keep and carry'));
  await expect(page.getByRole('heading', { name: 'Surfing, open sun' })).toBeVisible();
  expect(hand.actions).toBe(7);
});

test(
  'an outing from nothing: its place, its first shot by the sun there, and its card',
  WHOLE,
  async ({ page }) => {
    const hand = new Hand(page);
    await open(page, '/outing');
    await hand.press(button(page, 'More for this outing'));
    await hand.press(page.getByRole('menuitem', { name: 'New outing' }));
    await hand.fill(page.getByRole('combobox', { name: 'Place, by name or coordinates' }), '46.6, 12.3');
    await expect(page.getByText(/^Where is it\?/)).toBeHidden();
    await hand.press(button(page, 'Describe a new shot'));
    const name = page.getByRole('textbox', { name: 'Name of the shot' });
    await expect(name).toBeFocused();
    await hand.fill(name, 'Ridge');
    await expect(page.getByRole('group', { name: 'The brief' })).toContainText('by the sun at');
    await hand.press(page.getByRole('link', { name: 'Carry', exact: true }).last());
    await expect(page.getByRole('heading', { name: 'Ridge' })).toBeVisible();
    expect(hand.actions).toBe(6);
  },
);

test('a shot that was told by a scene is lit by the sun at its place', WHOLE, async ({ page }) => {
  const hand = new Hand(page);
  await open(page, '/');
  await hand.press(button(page, 'Keep and open on the Bench'));
  await page.waitForURL(/bench\?shot=/);
  await hand.press(button(page, /^Light/));
  await hand.choose(/^Light told by/, 'sun');
  await hand.fill(
    page.getByRole('combobox', { name: 'Where is it filmed? By name or coordinates' }),
    '46.62, 12.3',
  );
  await expect(page.getByRole('group', { name: /^Ribbon/ })).toBeVisible();
  expect(hand.actions).toBe(5);
});

test(
  'a crooked helmet is cured, and the filter of the bag that loses least is taken',
  WHOLE,
  async ({ page }) => {
    const hand = new Hand(page);
    await open(page, '/bench?shot=demo-10');
    await hand.press(button(page, 'Steadiness'));
    await hand.press(
      page.getByRole('region', { name: 'Steadiness' }).getByRole('button', { name: 'Take strong' }),
    );
    await expect(tile(page, 'Stabilization')).toHaveAccessibleName(/strong, pinned by you/);
    await hand.press(button(page, 'Filters'));
    // The polarizer and the variable filter are spoken of, worn or not.
    await expect(page.getByText(/^polarizer .*(worth|tell the light)/i)).toBeVisible();
    await hand.press(button(page, /^Take .*shutter/).first());
    await expect(tile(page, 'Filter')).toHaveAccessibleName(/pinned by you/);
    expect(hand.actions).toBe(4);
  },
);

test('what the day does not manage is mended with a press where it is told', WHOLE, async ({ page }) => {
  const hand = new Hand(page);
  await open(page, '/outing?outing=demo-outing&day=saturday');
  await expect(page.getByText('3 things this day does not manage, the worst first:')).toBeVisible();
  await hand.press(button(page, 'Take ND8'));
  await expect(button(page, /^Undo: /)).toBeVisible();
  await expect(page.getByText('Upper gorge run: 1.8 stops dark.')).toBeHidden();
  expect(hand.actions).toBe(1);
});

test(
  'the set-up of a day is tried on the stand-in camera, and what came of the shot is said',
  WHOLE,
  async ({ page }) => {
    const hand = new Hand(page);
    await open(page, '/carry?outing=demo-outing&day=saturday&codes=otter');
    await hand.press(button(page, 'Try it on the stand-in camera').first());
    await expect(page.getByText(/^Set to "/)).toBeVisible();
    await hand.press(page.getByRole('button', { name: 'Start', exact: true }));
    await expect(page.getByText(/Recording (\d+ min|[3-9]\d s)/)).toBeVisible();
    await hand.press(page.getByRole('button', { name: 'Stop', exact: true }));
    await expect(button(page, 'Undo: note a recording')).toBeVisible();
    await hand.press(page.getByRole('link', { name: 'Log', exact: true }));
    await hand.press(
      page
        .getByRole('group', { name: /^Verdict on/ })
        .first()
        .getByRole('button')
        .first(),
    );
    await expect(button(page, /^Undo: /)).toBeVisible();
    expect(hand.actions).toBe(5);
  },
);

test('the presses of a day stay where they are from card to card', async ({ page }) => {
  await page.setViewportSize({ width: 390, height: 844 });
  await open(page, '/carry?outing=demo-outing&day=saturday');
  const next = button(page, 'Next card');
  const places: string[] = [];
  /** Where the presses of the card are, looked at in one go: between two looks the card may have become the next. */
  const pressed = (): Promise<string[]> =>
    page.evaluate(() => {
      const at = (name: string, one: Element | undefined | null): string[] => {
        const box = one?.getBoundingClientRect();
        return box ? [`${name} ${box.x},${Math.round(box.y)}`] : [];
      };
      const foot = [...document.querySelectorAll('main article .ant-btn-primary')].at(-1);
      return [...at('next', document.querySelector('[aria-label="Next card"]')), ...at('press', foot)];
    });
  for (let card = 1; ; card++) {
    await expect(page.getByText(new RegExp(`card ${card} of`))).toBeVisible();
    await page.evaluate(() => document.fonts.ready);
    // A card that is still being drawn settles.
    await settled(page);
    places.push(...(await pressed()));
    if (await next.isDisabled()) break;
    await next.click();
  }
  expect([...new Set(places)].sort()).toEqual([places[0], places.find((one) => one.startsWith('press'))]);
});

test('by keyboard alone: a talk into the lens is described, joined by a whip, and its turning read', async ({
  page,
}) => {
  await open(page, '/');
  await page.keyboard.press('n');
  await expect(page.getByRole('combobox', { name: 'The ride' })).toBeFocused();
  await page.keyboard.type('talking to the camera, st');
  await page.keyboard.press('Enter');
  await tabTo(page, button(page, 'Keep and open on the Bench'));
  await page.keyboard.press('Enter');
  await page.waitForURL(/bench\?shot=/);
  await tabTo(page, button(page, 'Pair'));
  await page.keyboard.press('Enter');
  await tabTo(page, page.getByRole('button', { name: 'whip', exact: true }));
  await page.keyboard.press('Enter');
  await expect(page.getByText(/For a blur of 10 % .*turn right at/)).toBeVisible();
});

test('by keyboard alone: a camera of one’s own is made from five questions', WHOLE, async ({ page }) => {
  await open(page, '/kit?item=five');
  await expect(page.getByRole('textbox', { name: 'Name' })).toBeFocused();
  await page.keyboard.type('Wren');
  await tabTo(page, page.getByRole('checkbox', { name: /^2\.7K/ }));
  await page.keyboard.press('Space');
  await tabTo(page, page.getByRole('spinbutton', { name: 'Across, wide' }));
  await page.keyboard.press('Control+A');
  await page.keyboard.type('104');
  await tabTo(page, button(page, 'Make the camera'));
  await page.keyboard.press('Enter');
  await expect(page.getByRole('heading', { name: 'Wren' })).toBeVisible();
  await expect(page.getByText('No overlaps, gaps')).toBeVisible();
});

test(
  'by keyboard alone, on a phone: the next shot of the day is found, recorded, and taken back',
  WHOLE,
  async ({ page }) => {
    await page.setViewportSize({ width: 390, height: 844 });
    await open(page, '/carry?outing=demo-outing&day=saturday&card=sat-10');
    await expect(page.getByRole('heading', { name: 'Sun gate' })).toBeVisible();
    await page.keyboard.press('ArrowRight');
    await expect(page.getByRole('heading', { name: 'Sun gate' })).toBeHidden();
    await page.keyboard.press('ArrowLeft');
    const recorded = page.getByRole('button', { name: 'Recorded', exact: true });
    await expect(recorded).toBeEnabled();
    await page.keyboard.press('r');
    await expect(page.getByRole('heading', { name: 'Sun gate' })).toBeHidden();
    await page.keyboard.press('ArrowLeft');
    await tabTo(page, button(page, 'Take it back'));
    await page.keyboard.press('Enter');
    await expect(recorded).toBeVisible();
  },
);
