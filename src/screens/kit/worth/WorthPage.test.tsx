import { screen, waitFor, within } from '@testing-library/react';
import { afterEach, beforeEach, describe, expect, it } from 'vitest';
import { makeDemo } from '../../../../demo/makeDemo';
import { item } from '@/core/units/items';
import { enter } from '../../testing/enter';
import { openStage } from '../../testing/stage';
import type { Stage } from '../../testing/stage';
import { WorthPage } from './WorthPage';

let stage: Stage;
beforeEach(async () => {
  stage = await openStage();
});
afterEach(() => stage.close());

const advice = (): string =>
  screen
    .getAllByRole('status')
    .map((one) => one.textContent)
    .join(' ');
const things = async (): Promise<HTMLElement[]> =>
  within(await screen.findByRole('list', { name: 'What to get next' })).getAllByRole('listitem');

describe('what to get next', () => {
  it('asks for prices, keeps them, and names the best set within the budget', async () => {
    stage.show(<WorthPage />);
    expect((await things()).length).toBeGreaterThan(5);
    expect(advice()).toMatch(/Say what each would cost you/);
    expect(advice()).toMatch(/Otter films \d+ % of the time/);
    const [first, second] = await things();
    enter(within(first!).getByLabelText(/^Price of/), '90');
    await waitFor(() => expect(advice()).toMatch(/Best for the money: .*Together 90, and/));
    enter(within(second!).getByLabelText(/^Price of/), '30');
    await waitFor(() => expect(advice()).toMatch(/Together 120/));
    expect((await stage.database.prices.toArray()).map(({ price }) => price).sort()).toEqual([30, 90]);
    enter(screen.getByLabelText('Budget'), '100');
    await waitFor(() => expect(advice()).toMatch(/Together 90/));
    expect(item(await things(), 0).textContent).toMatch(/in the set/);
    enter(screen.getByLabelText('Budget'), '10');
    await waitFor(() =>
      expect(advice()).toMatch(
        /Nothing that has a price and helps is within the budget; the cheapest would cost 30/,
      ),
    );
    await stage.repository.history.undo();
    await waitFor(async () => expect(await stage.database.prices.toArray()).toHaveLength(1));
  });

  it('says that nothing is planned where no outing is', async () => {
    await stage.close();
    stage = await openStage({ ...makeDemo(), outings: [] });
    stage.show(<WorthPage />);
    await waitFor(() => expect(advice()).toMatch(/No outing holds a recording yet/));
  });
});
