import { screen, waitFor, within } from '@testing-library/react';
import { afterEach, beforeEach, describe, expect, it } from 'vitest';
import { COURSE, PLAIN } from '@/core/eye/course';
import type { OwnEye } from '@/core/records/ownEye';
import { item } from '@/core/units/items';
import type { EyeChoice } from '@/core/records/ownEye';
import { openStage } from '../../testing/stage';
import type { Stage } from '../../testing/stage';
import { enter } from '../../testing/enter';
import { EyeTab } from './EyeTab';

let stage: Stage;
beforeEach(async () => {
  stage = await openStage();
});
afterEach(() => stage.close());

const eye = (): Promise<OwnEye | undefined> => stage.database.eye.get('mine');
const press = async (name: string | RegExp): Promise<void> => stage.user.click(await enabled(name));

async function enabled(name: string | RegExp): Promise<HTMLElement> {
  return waitFor(() => {
    const button = screen.getByRole<HTMLButtonElement>('button', { name });
    if (button.disabled) throw new Error('not yet');
    return button;
  });
}

const SAYS: Record<EyeChoice, string> = {
  first: 'A is better',
  second: 'B is better',
  neither: 'Cannot tell',
};

/** Answers so many pairs, each with what is asked known beforehand. */
async function answer(
  count: number,
  choose: (asked: { plainBetter: EyeChoice | null }) => EyeChoice,
): Promise<void> {
  const { inPage } = await import('../../testing/eyeWorker');
  for (let at = 0; at < count; at++) {
    const before = (await eye())?.answers ?? [];
    const question = (await inPage.askAfter(before))!;
    const sum = Object.values(question.differences).reduce((all, by) => all + by, 0);
    await press(SAYS[choose({ plainBetter: question.plain ? (sum > 0 ? 'first' : 'second') : null })]);
    await waitFor(async () => expect((await eye())?.answers).toHaveLength(before.length + 1));
  }
}

describe('your own eye', () => {
  it('keeps each answer with what was asked, and undo takes it back', async () => {
    stage.show(<EyeTab />);
    await press('Begin');
    await answer(2, () => 'first');
    const [first, second] = (await eye())!.answers;
    expect(Object.keys(first!.differences).length).toBeGreaterThan(1);
    expect(second).not.toEqual(first);
    expect(first).toMatchObject({ said: 'first', plain: false });
    expect(screen.getByText(/The pair before: you said A\./)).toBeTruthy();
    await stage.repository.history.undo();
    expect((await eye())!.answers).toHaveLength(1);
  });

  it('makes a school of a whole course, which is taken, set by hand, and forgotten', async () => {
    stage.show(<EyeTab />);
    await press('Begin');
    await answer(COURSE, ({ plainBetter }) => plainBetter ?? 'neither');
    expect(await screen.findByText(new RegExp(`From ${COURSE} pairs\\.`))).toBeTruthy();
    expect(screen.getByText(new RegExp(`you saw it ${PLAIN} of ${PLAIN} times`))).toBeTruthy();
    await press('Use as the school mine');
    await waitFor(async () =>
      expect((await eye())!.weights).toMatchObject({ over: expect.any(Number) as number }),
    );
    const field = await screen.findByLabelText('Weight of noise in use');
    enter(field, '3');
    await waitFor(async () => expect((await eye())!.weights!.noise).toBe(3));
    await press('Use these weights');
    await waitFor(async () => expect((await eye())!.weights!.noise).not.toBe(3));
    await press('Forget it all');
    await waitFor(async () => expect(await eye()).toBeUndefined());
    expect(await screen.findByRole('button', { name: 'Begin' })).toBeTruthy();
  });

  it('says of a coin that it is one, and shows every school beside', async () => {
    stage.show(<EyeTab />);
    await press('Begin');
    // Against whatever is plainly better, and else in turn.
    let at = 0;
    await answer(COURSE, ({ plainBetter }) =>
      plainBetter === null
        ? item(['first', 'second'] as const, at++ % 2)
        : plainBetter === 'first'
          ? 'second'
          : 'first',
    );
    expect((await screen.findByRole('alert')).textContent).toMatch(
      /no better explained by any taste than by a coin/,
    );
    const heads = within(screen.getByRole('table'))
      .getAllByRole('columnheader')
      .map((one) => one.textContent);
    expect(heads).toEqual([
      'Fault',
      'Mine',
      'Nine times in ten between',
      'weigh it',
      'film motion',
      'crisp first',
      'middle path',
      'finish in post',
      'hands off',
    ]);
  });
});
