import { screen, waitFor, within } from '@testing-library/react';
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import type { Drill } from '@/core/drill/drill';
import { nextDrill, skillsOf } from '@/core/drill/next';
import { DRILL_KINDS } from '@/core/vocabulary/drills';
import type { Practised } from '@/core/records/practised';
import { item } from '@/core/units/items';
import { ownZone, todayIn } from '@/formats/today';
import { DRILL_LABEL, drillAnswerText, drillQuestion, drillVerdict } from '@/words/drillText';
import * as drills from '@/workers/drills';
import { openStage } from '../../testing/stage';
import type { Stage } from '../../testing/stage';
import { DrillsTab } from './DrillsTab';
import { WordedError } from '@/words/whyText';

vi.mock('../../bench/panels/preview/useFilms', async (load) => ({
  ...(await load<object>()),
  useFilms: (takes: readonly unknown[]) => ({ films: [], drawn: 0, wanted: takes.length, failed: null }),
}));

let stage: Stage;
beforeEach(async () => {
  stage = await openStage();
});
afterEach(() => stage.close());

const kept = (): Promise<Practised | undefined> => stage.database.practised.get('mine');
const press = async (name: string): Promise<void> => {
  await waitFor(() => expect(screen.getByRole<HTMLButtonElement>('button', { name }).disabled).toBe(false));
  await stage.user.click(screen.getByRole('button', { name }));
};

/** What is asked now, as the core has it by itself. */
async function asked(): Promise<Drill> {
  const { log, outings, shots } = stage.database;
  const records = new Map((await shots.toArray()).map((one) => [one.id, one]));
  const newestFirst = (await log.orderBy('at').toArray()).reverse();
  const skills = skillsOf(newestFirst, await outings.toArray(), records, todayIn(ownZone(), Date.now()));
  return nextDrill(skills, (await kept())?.tried ?? [], new Date().toISOString(), null)!;
}

async function answer(drill: Drill, at: number): Promise<void> {
  await screen.findByText(drillQuestion(drill, 'factor'));
  const answers = within(screen.getByRole('group', { name: 'Answers' }));
  const name = drillAnswerText(item(drill.choices, at).answer, drill, 'factor');
  await stage.user.click(answers.getByRole('button', { name }));
  for (const line of drillVerdict(drill, item(drill.choices, at), 'factor')) await screen.findByText(line);
}

describe('drills', () => {
  it('asks three, tells each miss in stops and loss as the core has it, keeps them, and undo takes one back', async () => {
    stage.show(<DrillsTab />);
    await press('Three drills');
    for (const next of ['Next', 'Next', 'Done']) {
      const drill = await asked();
      const before = (await kept())?.tried.length ?? 0;
      const worst = drill.choices.reduce((one, other) => (other.loss > one.loss ? other : one));
      await answer(drill, drill.choices.indexOf(worst));
      await waitFor(async () => expect((await kept())?.tried).toHaveLength(before + 1));
      expect((await kept())!.tried[before]).toMatchObject({
        kind: drill.kind,
        from: drill.from,
        loss: worst.loss,
        offStops: worst.offStops,
      });
      await press(next);
    }
    const losses = (await kept())!.tried.map(({ loss }) => String(Math.round(loss * 10) / 10));
    await screen.findByText(`Three done: ${losses.join(', ')} lost over the best.`);
    expect(Math.min(...(await kept())!.tried.map(({ loss }) => loss))).toBeGreaterThan(0.05);
    const rows = within(screen.getByRole('table', { name: 'By kind' }))
      .getAllByRole('row')
      .slice(1);
    expect(rows.map((row) => within(row).getByRole('rowheader').textContent)).toEqual(
      DRILL_KINDS.map((kind) => DRILL_LABEL[kind]),
    );
    await stage.repository.history.undo();
    expect((await kept())!.tried).toHaveLength(2);
    await press('Forget what I practised');
    await waitFor(async () => expect(await kept()).toBeUndefined());
    await screen.findByRole('button', { name: 'Three drills' });
  });

  it('says why where no drill could be made, and what to do', async () => {
    vi.spyOn(drills, 'nextDrillFor').mockRejectedValueOnce(new WordedError('out of memory'));
    stage.show(<DrillsTab />);
    await press('Three drills');
    expect((await screen.findByRole('alert')).textContent).toContain('out of memory. Load the page anew');
  });
});
