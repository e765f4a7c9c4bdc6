import { fireEvent, screen, waitFor, within } from '@testing-library/react';
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import { PLAIN_CLIP, y4mOf } from '../../../bench/madeClip';
import type { Clip } from '@/core/records/clip';
import { useIncoming } from '../files/incoming';
import { visit, visited } from '../testing/address';
import { openStage } from '../testing/stage';
import type { Stage } from '../testing/stage';
import { useClipFiles } from './clipFiles';
import { DebriefScreen } from './DebriefScreen';

const HOLM = '/debrief?outing=demo-holm&day=holm-day';
let stage: Stage;
beforeEach(async () => {
  vi.stubGlobal('fetch', () => Promise.resolve(new Response('[]')));
  useClipFiles.setState({ files: new Map(), refused: [], waiting: [] });
  stage = await openStage();
});
afterEach(async () => {
  vi.unstubAllGlobals();
  await stage.close();
});

const kept = async (name: string): Promise<Clip | undefined> =>
  stage.database.clips.filter(({ measured }) => measured.file.name === name).first();
const row = async (name: string): Promise<HTMLElement> => {
  const shown = await screen.findAllByText(name, { selector: 'b' });
  return shown.map((one) => one.closest('li')).find((one) => one !== null)!;
};

/** A file as a page is given one. */
function given(name: string, ...parts: BlobPart[]): File {
  return Object.assign(new File(parts, name), { webkitRelativePath: '' });
}

describe('the debrief', () => {
  it('opens on the last day that was, and says where clips came back from already', async () => {
    visit('/debrief');
    stage.show(<DebriefScreen />);
    const link = await screen.findByRole('link', { name: 'Holm Lake skate, Sat 17 Jan 2026' });
    expect(link.getAttribute('href')).toBe(HOLM);
  });

  it('lists the clips of the day under their shots, with the verdict that was set or is proposed', async () => {
    visit(HOLM);
    stage.show(<DebriefScreen />);
    expect(within(await row('OTR_0041.MP4')).getByText('smear')).toBeTruthy();
    expect(within(await row('OTR_0046.MP4')).getByText('Proposed: tilted')).toBeTruthy();
    expect(within(await row('OTR_0042.MP4')).getByTitle('Holm Lake, second lap, main')).toBeTruthy();
    await stage.user.click(within(await row('OTR_0042.MP4')).getByRole('button', { name: /OTR_0042/ }));
    await waitFor(() => expect(visited()).toContain('clip=demo-clip-2'));
  });

  it('puts a clip to another shot by its list, holds it against that, and undo puts it back', async () => {
    visit(HOLM);
    stage.show(<DebriefScreen />);
    const before = (await kept('OTR_0046.MP4'))!;
    const place = within(await row('OTR_0046.MP4'));
    await stage.user.click(place.getByRole('combobox', { name: 'Shot of OTR_0046.MP4' }));
    const offered = await screen.findAllByTitle('Holm Lake, the turn, slowed');
    await stage.user.click(offered.at(-1)!);
    await waitFor(async () => expect((await kept('OTR_0046.MP4'))!.entryId).toBe('holm-4'));
    const after = (await kept('OTR_0046.MP4'))!;
    expect(after.byHand).toBe(true);
    // Filmed at half the rate that this shot is planned with.
    expect(after.measured.findings.map(({ code }) => code)).toContain('frameRate');
    expect(before.measured.findings.map(({ code }) => code)).not.toContain('frameRate');
    await stage.repository.history.undo();
    expect(await kept('OTR_0046.MP4')).toEqual({
      ...before,
      edits: { this: 2 },
      updatedAt: expect.any(String) as unknown,
    });
  });

  it('says of wind what is done for speech, where the shot wanted it, and nothing of it elsewhere', async () => {
    visit(`${HOLM}&clip=demo-clip-4`);
    stage.show(<DebriefScreen />);
    expect(await screen.findByText(/^Wind covers the sound for/)).toBeTruthy();
    expect(screen.queryByText(/^Speech was wanted here:/)).toBeNull();
    await stage.repository.changeShot('demo-skate-3', 'speech', (shot) => ({
      ...shot,
      sound: { speech: true },
    }));
    expect((await screen.findByText(/^Speech was wanted here:/)).textContent).toMatch(
      /m\/s of air pass the microphone/,
    );
  });

  it('one clip: the verdict proposed is taken with a press, a change goes into a new shot', async () => {
    visit(`${HOLM}&clip=demo-clip-6`);
    stage.show(<DebriefScreen />);
    await screen.findByRole('heading', { name: 'OTR_0046.MP4' });
    const beside = within(await screen.findByRole('region', { name: 'Plan beside measured' }));
    expect(beside.getByRole('row', { name: /^View/ }).textContent).toMatch(/horizon turned −5\.\d°.*amiss/);
    await stage.user.click(screen.getByRole('button', { name: 'Take that' }));
    await waitFor(async () => expect((await kept('OTR_0046.MP4'))!.verdicts).toEqual(['tilted']));
    const note = screen.getByRole('textbox', { name: 'Note' });
    await stage.user.type(note, 'Screw the arm tight');
    await stage.user.tab();
    await waitFor(async () => expect((await kept('OTR_0046.MP4'))!.note).toBe('Screw the arm tight'));
  });

  it('lays two clips side by side on one time, each with what was found', async () => {
    visit(`${HOLM}&clip=demo-clip-2`);
    stage.show(<DebriefScreen />);
    const region = within(await screen.findByRole('region', { name: 'Beside another clip' }));
    await stage.user.click(region.getByRole('combobox', { name: 'Which clip' }));
    await stage.user.click(await screen.findByTitle('OTR_0047.MP4'));
    await waitFor(() =>
      expect(region.getByRole('status').textContent).toBe(
        'Filmed at different times: both from their beginning.',
      ),
    );
    expect(region.getByText('Frame rate, Flicker')).toBeTruthy();
    const slider = region.getByRole('slider', { name: 'Time of both clips' });
    fireEvent.keyDown(slider, { key: 'ArrowRight', keyCode: 39 });
    await waitFor(() => expect(Number(slider.getAttribute('aria-valuenow'))).toBeGreaterThan(0));
  });

  it('takes dropped clips in: what is none is refused in words, what is one finds a place', async () => {
    visit(HOLM);
    stage.show(<DebriefScreen />);
    await row('OTR_0041.MP4');
    const clip = y4mOf({ ...PLAIN_CLIP, width: 64, height: 36, seconds: 0.4 });
    useIncoming
      .getState()
      .dropClips([given('NEW_0001.y4m', clip), given('text.mp4', 'nothing'), given('empty.mp4')]);
    const refused = await screen.findByRole('alert');
    await waitFor(() => expect(within(refused).getAllByRole('listitem')).toHaveLength(2));
    expect(refused.textContent).toContain('text.mp4: this is no clip');
    expect(refused.textContent).toContain('empty.mp4: the file is empty');
    await waitFor(async () => expect(await kept('NEW_0001.y4m')).toMatchObject({ looked: 'file' }));
    expect(await stage.database.clips.count()).toBe(9);
    await stage.user.click(within(refused).getByRole('button', { name: 'Read that' }));
    await waitFor(() => expect(screen.queryByRole('alert')).toBeNull());
  });
});
