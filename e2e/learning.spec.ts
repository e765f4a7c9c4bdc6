import type { LearnedRecord } from '@/core/records/learned';
import { expect, expectNoAxeFindings, open, test, WHOLE } from './fixture';
import { kept } from './records';

test(
  'a figure that the clips correct is taken over, said in every answer, and taken back',
  WHOLE,
  async ({ page }) => {
    await open(page, '/kit?item=learned');
    const chest = page.getByRole('listitem', { name: /^shake of your chest, skating/ });
    await expect(chest).toContainText('from 2 clips');
    await expectNoAxeFindings(page, 'learned figures');
    await chest.getByRole('button', { name: /^Take over/ }).press('Enter');
    await expect(chest).toContainText('In use: ');
    const [record] = (await kept(page, 'learned')) as LearnedRecord[];
    expect(record).toMatchObject({ id: 'shake/chest/skating/smooth', decided: 'taken' });

    await open(page, '/bench?shot=demo-skate-2');
    const said = page.getByText(/^With figures of your own: shake of your chest, skating on smooth ground/);
    await expect(said).toContainText('from 2 clips');
    await expect(said).toContainText('usual 25°/s');
    await expectNoAxeFindings(page, 'an answer with a figure of their own');
    await said.getByRole('link', { name: 'All learned figures' }).click();
    await chest.getByRole('button', { name: /^Back to the usual/ }).click();
    await expect(chest.getByRole('button', { name: /^Leave/ })).toBeVisible();
    await open(page, '/bench?shot=demo-skate-2');
    await expect(page.getByRole('heading', { name: 'Last time' })).toBeVisible();
    await expect(page.getByText(/^With figures of your own/)).toHaveCount(0);
  },
);

test(
  'a shot tells what came of it last time, and takes the change that it asks for',
  WHOLE,
  async ({ page }) => {
    await open(page, '/');
    await expect(page.getByRole('listitem').filter({ hasText: 'Holm Lake, first lap' })).toContainText(
      'last time: smear',
    );
    await open(page, '/bench?shot=demo-skate-1');
    const last = page.getByRole('region', { name: 'Last time' });
    await expect(last).toContainText('Holm Lake, first lap, Sat 17 Jan 2026: smear.');
    await last.getByRole('button', { name: /^Take the change against smear/ }).click();
    await expect(last).toContainText('Its change is in this shot already.');
    await expect(last.getByRole('button')).toHaveCount(0);
  },
);

test.describe('on a phone', () => {
  test.use({ viewport: { width: 390, height: 844 } });
  test(
    'what was used up in the evening is noted, and figures are read and taken',
    WHOLE,
    async ({ page }) => {
      await open(page, '/debrief?outing=demo-holm&day=holm-day');
      const otter = page.getByRole('group', { name: 'Otter' });
      await otter.getByLabel('Cells used').fill('1.4');
      await otter.getByLabel('Cells used').press('Enter');
      await expect
        .poll(async () => JSON.stringify(await kept(page, 'outings')))
        .toContain('"ends":[{"cameraId":"otter","cellsUsed":1.4}]');
      await open(page, '/kit?item=learned');
      const chest = page.getByRole('listitem', { name: /^shake of your chest, skating/ });
      await expect(chest).toBeVisible();
      expect(await page.evaluate(() => document.documentElement.scrollWidth)).toBeLessThanOrEqual(390);
      await expectNoAxeFindings(page, 'learned figures on a phone');
      await chest.getByRole('button', { name: /^Leave/ }).click();
      await expect(chest).toContainText('Left as usual');
    },
  );
});
