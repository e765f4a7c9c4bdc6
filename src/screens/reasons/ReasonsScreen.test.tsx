import { act, fireEvent, screen, waitFor, within } from '@testing-library/react';
import { afterEach, beforeEach, describe, expect, it } from 'vitest';
import { solve } from '@/core/answer/solve';
import { briefOf } from '@/core/brief/brief';
import { FORMULAS, formulasOn, FORMULA_INPUTS, valueAt, valuesOn } from '@/core/explain/formulas';
import { helmetRide } from '@/core/explain/helmet';
import { item } from '@/core/units/items';
import { REASON_PAGES } from '@/core/vocabulary/reasonPages';
import { FORMULA_NAME, inputsText, resultText } from '@/words/formulaText';
import { pageText } from '@/words/reasonPages';
import { PAGE_TITLE } from '@/words/reasonTitles';
import { visit } from '../testing/address';
import { openStage } from '../testing/stage';
import type { Stage } from '../testing/stage';
import { ReasonsScreen } from './ReasonsScreen';

let stage: Stage;
beforeEach(async () => {
  stage = await openStage();
});
afterEach(() => stage.close());

const title = (page: (typeof REASON_PAGES)[number]): Promise<HTMLElement> =>
  screen.findByRole('heading', { name: PAGE_TITLE[page] });

describe('reasons', () => {
  it('tells every page with the numbers of the helmet ride where there is no shot', async () => {
    await stage.database.shots.clear();
    stage.show(<ReasonsScreen />);
    for (const page of REASON_PAGES) {
      act(() => visit(`/reasons?page=${page}`));
      await title(page);
      for (const text of pageText(page, helmetRide(), 'factor')) {
        expect(text).not.toMatch(/undefined|NaN|Infinity|\{/);
        expect(await screen.findByText(text)).toBeTruthy();
      }
      for (const id of formulasOn(page))
        expect(screen.getByRole('heading', { name: FORMULA_NAME[id] })).toBeTruthy();
    }
  });

  it('puts the numbers of the chosen shot in, and a slider moves the formula away from them and back', async () => {
    const record = (await stage.database.shots.get('demo-10'))!;
    await stage.database.outings.clear();
    visit('/reasons?page=steadiness&shot=demo-10');
    stage.show(<ReasonsScreen />);
    const outcome = solve(briefOf(record.shot).brief);
    if (!outcome.solved) throw new Error('unsolved');
    const { solution } = outcome;
    for (const text of pageText('steadiness', solution, 'factor')) await screen.findByText(text);
    const id = 'smear';
    const formula = within(await screen.findByRole('region', { name: FORMULA_NAME[id] }));
    const values = valuesOn(id, solution);
    const says = (given: readonly number[]): string =>
      `With ${inputsText(id, given)} it is ${resultText(id, FORMULAS[id].of(given, solution))}.`;
    expect(formula.getByRole('status').textContent).toBe(says(values));
    const slider = item(formula.getAllByRole('slider'), 0);
    fireEvent.keyDown(slider, { key: 'Home', keyCode: 36 });
    const shortest = [valueAt(FORMULA_INPUTS.shutterSeconds, 0), ...values.slice(1)];
    await waitFor(() => expect(formula.getByRole('status').textContent).toBe(says(shortest)));
    expect(says(shortest)).not.toBe(says(values));
    await stage.user.click(formula.getByRole('button', { name: 'As on the shot' }));
    expect(formula.getByRole('status').textContent).toBe(says(values));
  });

  it('leads back only to a place of its own, and to the first page where no such page is', async () => {
    visit('/reasons?page=light&back=%2Fbench%3Fshot%3Ddemo-10%26part%3Dlight');
    stage.show(<ReasonsScreen />);
    expect((await screen.findByRole('link', { name: 'Back to where you were' })).getAttribute('href')).toBe(
      '/bench?shot=demo-10&part=light',
    );
    act(() => visit('/reasons?page=nowhere&back=%2F%2Fexample.org'));
    await title('playback');
    expect(screen.queryByRole('link', { name: 'Back to where you were' })).toBeNull();
  });
});
