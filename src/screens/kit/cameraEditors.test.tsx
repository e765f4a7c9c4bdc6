import { render, screen, waitFor, within } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { useState } from 'react';
import type { ReactNode } from 'react';
import { beforeEach, describe, expect, it } from 'vitest';
import { ARCHETYPES } from '@/core/camera/archetypes';
import { modesOf } from '@/core/camera/modeTable';
import { CameraProfileSchema } from '@/core/camera/profile';
import type { CameraProfile } from '@/core/camera/profile';
import { enter } from '../testing/enter';
import { Plain } from '../testing/plain';
import type { Region } from '../testing/region';
import { CameraFacts } from './CameraFacts';
import { PartsEditor } from './PartsEditor';
import { RulesEditor } from './RulesEditor';
import type { EditProfile } from './useProfileDraft';

type Editor = (props: { profile: CameraProfile; edit: EditProfile }) => ReactNode;

let now: CameraProfile;
let labels: string[];

/** An editor over a camera that is kept in the page alone. */
function Kept({ of, editor: Editor }: { of: CameraProfile; editor: Editor }): ReactNode {
  const [profile, setProfile] = useState(of);
  const edit: EditProfile = (label, change) => {
    labels.push(label);
    now = change(now);
    setProfile(now);
  };
  return <Editor profile={profile} edit={edit} />;
}

const show = (editor: Editor, of: CameraProfile = ARCHETYPES.mini): ReturnType<typeof userEvent.setup> => {
  now = of;
  render(<Kept of={of} editor={editor} />, { wrapper: Plain });
  return userEvent.setup();
};

beforeEach(() => {
  labels = [];
});

/** The paths at which two values differ. */
function changed(before: unknown, after: unknown, path = ''): string[] {
  if (JSON.stringify(before) === JSON.stringify(after)) return [];
  const parts = (value: unknown): Record<string, unknown> =>
    typeof value === 'object' && value !== null ? (value as Record<string, unknown>) : {};
  const [a, b] = [parts(before), parts(after)];
  const keys = [...new Set([...Object.keys(a), ...Object.keys(b)])];
  if (keys.length === 0) return [path];
  return keys.flatMap((key) => changed(a[key], b[key], path === '' ? key : `${path}.${key}`));
}

describe('the figures of a camera', () => {
  const FIGURES: [label: string, typed: string, path: string][] = [
    ['f-number', '4', 'fNumber'],
    ['Focal length', '5', 'focalMm'],
    ['Blur circle', '0.006', 'blurCircleMm'],
    ['Near limit', '0.6', 'nearLimitM'],
    ['Sensor across', '6000', 'sensor.widthPx'],
    ['Base ISO', '200', 'iso.standard.base'],
    ['Highest ISO', '3200', 'iso.standard.max'],
    ['Base ISO in log', '800', 'iso.log.base'],
    ['Noise against a usual camera', '1.5', 'noiseStops'],
    ['Shortest shutter, 1 over', '4000', 'shutter.shortestSeconds'],
    ['Readout', '20', 'readoutSeconds'],
    ['Preset slots', '7', 'presetSlots'],
    ['Sealed to', '30', 'sealedToM'],
    ['Weight', '99', 'weightG'],
    ['Power, base', '3.3', 'power.baseW'],
    ['Power per gigapixel a second', '5.5', 'power.perGigapixelPerSecondW'],
    ['Warns at', '61', 'heat.warnC'],
    ['Screen off at', '66', 'heat.screenOffC'],
    ['Shuts down at', '80', 'heat.shutdownC'],
    ['Chapter', '3.5', 'chapter.gigabytes'],
  ];

  it('change their own figure alone, each in one step, and the camera stays one', () => {
    show(CameraFacts, ARCHETYPES.main);
    for (const [label, typed, path] of FIGURES) {
      const before = now;
      enter(screen.getByRole('spinbutton', { name: label }), typed);
      expect(changed(before, now), label).toEqual([path]);
      expect(CameraProfileSchema.safeParse(now).success, label).toBe(true);
    }
    expect(labels).toHaveLength(FIGURES.length);
    expect(new Set(labels).size).toBe(FIGURES.length);
  });

  it('counts slots and ISO in whole numbers', () => {
    show(CameraFacts, ARCHETYPES.main);
    enter(screen.getByRole('spinbutton', { name: 'Preset slots' }), '6.7');
    expect(now.presetSlots).toBe(7);
  });

  it('gives a sensor that was not known a height of its own', () => {
    const { sensor, ...bare } = ARCHETYPES.main;
    expect(sensor).toBeDefined();
    show(CameraFacts, bare);
    const field = screen.getByRole('spinbutton', { name: 'Sensor across' });
    expect(field.getAttribute('placeholder')).toBe('not known');
    enter(field, '4000');
    expect(now.sensor).toEqual({ widthPx: 4000, heightPx: 3000 });
  });

  it('sets focus, shutter, screens and how it starts', async () => {
    const user = show(CameraFacts, ARCHETYPES.main);
    await user.click(screen.getByRole('combobox', { name: 'Focus' }));
    await user.click(await screen.findByTitle('automatic'));
    expect(now.focus).toEqual({ kind: 'auto' });
    await user.click(screen.getByRole('checkbox', { name: 'Automatic shutter' }));
    expect(now.shutter.auto).toBe(false);
    await user.click(screen.getByRole('checkbox', { name: 'Screen at the back' }));
    expect(now.screens).toEqual({ front: true, back: false });
    await user.click(screen.getByRole('combobox', { name: 'Starts by' }));
    await user.keyboard('{Backspace}');
    expect(now.start).toEqual(ARCHETYPES.main.start.slice(0, -1));
  });
});

describe('the parts that rules speak of', () => {
  const region = (name: string): Region => within(screen.getByRole('region', { name }));

  it('renamed, are renamed in the rules and exceptions too', () => {
    show(PartsEditor, ARCHETYPES.main);
    const before = modesOf(ARCHETYPES.main).length;
    enter(region('Views').getAllByRole('textbox', { name: 'Name' })[0]!, 'broad');
    const [old] = ARCHETYPES.main.views;
    expect(now.views[0]).toEqual({ ...old, id: 'broad' });
    expect(JSON.stringify(now.rules)).not.toContain(`"${old!.id}"`);
    enter(region('Sizes').getAllByRole('textbox', { name: 'Name' })[0]!, 'largest');
    expect(now.resolutions[0]!.id).toBe('largest');
    expect(modesOf(now)).toHaveLength(before);
    expect(CameraProfileSchema.safeParse(now).success).toBe(true);
  });

  it('are added under a name that is free', async () => {
    const user = show(PartsEditor);
    await user.click(screen.getByRole('button', { name: 'Add a view' }));
    await user.click(screen.getByRole('button', { name: 'Add a view' }));
    expect(now.views.slice(-2).map(({ id }) => id)).toEqual(['new view', 'new view 2']);
    await user.click(screen.getByRole('button', { name: 'Add a size' }));
    expect(now.resolutions.at(-1)).toEqual({ id: 'new size', width: 1920, height: 1080 });
    expect(labels).toEqual(['add a view', 'add a view', 'add a size']);
  });

  it('changed, change alone: an angle, a projection, a lens of its own and none again', async () => {
    const user = show(PartsEditor);
    const [first] = ARCHETYPES.mini.views;
    enter(region('Views').getAllByRole('spinbutton', { name: 'Across' })[0]!, '77');
    expect(changed(ARCHETYPES.mini, now)).toEqual(['views.0.horizontalDeg']);
    const lens = region('Views').getAllByRole('spinbutton', { name: 'Lens of its own' })[0]!;
    enter(lens, '9');
    expect(now.views[0]!.focalMm).toBe(9);
    enter(lens, '');
    expect(now.views[0]).not.toHaveProperty('focalMm');
    await user.click(region('Views').getAllByRole('combobox', { name: 'Projection' })[0]!);
    const other = first!.projection === 'straight' ? /fisheye|curved|equidistant/i : /straight|rectilinear/i;
    await user.click((await screen.findAllByTitle(other)).at(-1)!);
    expect(now.views[0]!.projection).not.toBe(first!.projection);
  });

  it('removed, leave the rules that named others', async () => {
    const user = show(PartsEditor, ARCHETYPES.main);
    const count = ARCHETYPES.main.resolutions.length;
    await user.click(screen.getByRole('button', { name: 'Remove 2.7K tall' }));
    expect(now.resolutions).toHaveLength(count - 1);
    expect(JSON.stringify(now.rules)).not.toContain('2.7K tall');
    expect(CameraProfileSchema.safeParse(now).success).toBe(true);
  });

  it('sizes are whole pixels', () => {
    show(PartsEditor);
    enter(region('Sizes').getAllByRole('spinbutton', { name: 'Width' })[0]!, '2000.4');
    expect(now.resolutions[0]!.width).toBe(2000);
  });

  it('a hold is there by its crop, and gone without one', () => {
    show(PartsEditor, ARCHETYPES.main);
    const strong = (): HTMLElement => region('Holds').getByRole('spinbutton', { name: /^strong/ });
    enter(strong(), '12.5');
    expect(now.stabilizations.strong).toMatchObject({ cropPerSide: 0.125 });
    enter(strong(), '');
    expect(now.stabilizations).not.toHaveProperty('strong');
    enter(strong(), '8');
    expect(now.stabilizations.strong).toEqual({ cropPerSide: 0.08 });
    expect(now.stabilizations.rollHold).toEqual(ARCHETYPES.main.stabilizations.rollHold);
  });
});

describe('the rules of a camera', () => {
  const rule = (at: number): Region => within(screen.getAllByText(/^Rule \d+$/)[at]!.closest('li')!);

  it('say how many modes each gives, which together are those of the table', () => {
    show(RulesEditor);
    expect(screen.getByText(/modes in all/).textContent).toContain(
      `${modesOf(ARCHETYPES.mini).length} modes in all`,
    );
  });

  it('are copied beside themselves and removed, but for the last', async () => {
    const user = show(RulesEditor);
    const { length } = ARCHETYPES.mini.rules;
    await user.click(screen.getByRole('button', { name: 'Copy rule 1' }));
    expect(now.rules).toHaveLength(length + 1);
    expect(now.rules[1]).toEqual(now.rules[0]);
    for (let left = length + 1; left > 1; left -= 1)
      await user.click(screen.getByRole('button', { name: 'Remove rule 1' }));
    expect(now.rules).toEqual([ARCHETYPES.mini.rules.at(-1)]);
    expect(screen.getByRole('button', { name: 'Remove rule 1' })).toHaveProperty('disabled', true);
  });

  it('take a typed frame rate in its order, and encodings by their names', async () => {
    const user = show(RulesEditor);
    await user.type(rule(0).getByRole('combobox', { name: 'Frame rates' }), '48,');
    await waitFor(() => expect(now.rules[0]!.frameRates).toContain(48));
    const rates = now.rules[0]!.frameRates;
    expect(rates).toEqual([...rates].sort((a, b) => a - b));
    const before = now.rules[0]!.encodings;
    const codec = rule(0).getByRole('combobox', { name: 'Codec, bits and Mbit/s' });
    await user.type(codec, 'nonsense,');
    expect(now.rules[0]!.encodings).toEqual(before);
    await user.type(codec, 'avc-45,');
    await waitFor(() =>
      expect(now.rules[0]!.encodings.find(({ codec: one }) => one === 'avc')!.bitRatesMbps).toContain(45),
    );
  });

  it('are never emptied', async () => {
    const one = { ...ARCHETYPES.mini, rules: [{ ...ARCHETYPES.mini.rules[0]!, views: ['wide'] }] };
    const user = show(RulesEditor, one);
    await user.click(rule(0).getByRole('combobox', { name: 'Views' }));
    await user.keyboard('{Backspace}');
    expect(now.rules[0]!.views).toEqual(['wide']);
  });

  it('have exceptions, that take their modes and give them back', async () => {
    const user = show(RulesEditor, { ...ARCHETYPES.budget, limits: [] });
    const all = modesOf(now).length;
    await user.click(screen.getByRole('button', { name: 'Add an exception' }));
    expect(now.limits).toEqual([{ says: 'not above 60 fps', where: { frameRateAbove: 60 } }]);
    expect(modesOf(now).length).toBeLessThan(all);
    enter(screen.getByRole('spinbutton', { name: 'Frame rates above' }), '119');
    expect(now.limits[0]!.where).toEqual({ frameRateAbove: 119 });
    enter(screen.getByRole('textbox', { name: 'In words' }), 'no 120 here');
    await user.click(screen.getByRole('button', { name: 'Remove the exception: no 120 here' }));
    expect(modesOf(now)).toHaveLength(all);
  });

  it('have conditions that may be left open again', async () => {
    const limits = [{ says: 'tall only', where: { views: ['wide'], frameRateAbove: 60 } }];
    const user = show(RulesEditor, { ...ARCHETYPES.main, limits });
    const views = within(screen.getByText('tall only').closest('li')!).getByRole('combobox', {
      name: 'Views',
    });
    await user.click(views);
    await user.click((await screen.findAllByTitle('any')).at(-1)!);
    expect(now.limits[0]!.where).toEqual({ frameRateAbove: 60 });
    enter(screen.getByRole('spinbutton', { name: 'Frame rates above' }), '');
    expect(now.limits[0]!.where).toEqual({});
  });
});
