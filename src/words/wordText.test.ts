import { describe, expect, it } from 'vitest';
import { makeDemo } from '../../demo/makeDemo';
import { solve } from '@/core/answer/solve';
import type { Solution } from '@/core/answer/solve';
import { briefOf } from '@/core/brief/brief';
import { WORDS } from '@/core/vocabulary/words';
import type { WordId } from '@/core/vocabulary/words';
import { testClipText } from './testClip';
import { PANEL_RESULT } from './panelText';
import { WORD_LABEL, WORD_MEANS, wordFigure } from './wordText';

const demo = makeDemo().shots.flatMap(({ shot }) => {
  const outcome = solve(briefOf(shot).brief);
  return outcome.solved ? [{ shot, solution: outcome.solution }] : [];
});
const named = (name: string): Solution => demo.find(({ shot }) => shot.name === name)!.solution;
const gate = named('Sun gate');

describe('what words mean', () => {
  it('is one or two sentences for each, under a name of its own', () => {
    expect(new Set(WORDS.map((word) => WORD_LABEL[word])).size).toBe(WORDS.length);
    for (const word of WORDS) expect(WORD_MEANS[word], word).toMatch(/^[A-Z].{40,260}\.$/);
  });

  it('comes with its figure on the shot at hand', () => {
    const told = (word: WordId): string | null => wordFigure(word, gate);
    expect(told('window')).toMatch(/^\d+\.\d to 1\d\.\d, \d+\.\d stops$/);
    expect(told('shakeFloor')).toMatch(/^1\/\d+ s$/);
    expect(told('school')).toBe('weigh it');
    expect(told('pin')).toBe('none');
    expect(told('weighIt')).toBeNull();
    for (const { solution } of demo)
      for (const word of WORDS)
        expect(wordFigure(word, solution) ?? '', word).not.toMatch(/NaN|Infinity|undefined/);
  });
});

describe('the line of a closed panel', () => {
  it('tells a result of every shot, short enough for a line or two', () => {
    for (const { shot, solution } of demo)
      for (const [panel, tell] of Object.entries(PANEL_RESULT)) {
        const line = tell(solution, shot, 'factor');
        expect(line.length, `${shot.name} ${panel}: ${line}`).toBeGreaterThan(2);
        expect(line.length, `${shot.name} ${panel}: ${line}`).toBeLessThan(70);
        expect(line).not.toMatch(/NaN|undefined/);
      }
  });

  it('follows the shot', () => {
    expect(PANEL_RESULT.light(gate)).toMatch(/^EV 1\d\.\d to 1\d\.\d$/);
    expect(PANEL_RESULT.pair(gate, demo.find(({ shot }) => shot.pair)!.shot)).toBe('whip');
    expect(PANEL_RESULT.pair(gate, demo[0]!.shot)).toBe('no second half');
  });
});

describe('what a test clip is looked at for', () => {
  it('is at most four things, the last the horizon, and each with its figure', () => {
    for (const { shot, solution } of demo) {
      const lines = testClipText(solution);
      expect(lines.length, shot.name).toBeGreaterThan(0);
      expect(lines.length, shot.name).toBeLessThanOrEqual(4);
      expect(lines.at(-1)).toMatch(/^the horizon level/);
      for (const line of lines.slice(0, -1)) expect(line).toMatch(/\d|edge/);
    }
  });

  it('names the end of the light that is lost, and lamps that pulse', () => {
    // Its camera has nothing shorter for the brightest light told.
    expect(testClipText(named('Pole over the pool')).join()).not.toMatch(/sinks into black/);
    const dim = solve({ ...gate.space.brief, light: { kind: 'range', evMin: 1, evMax: 3 } });
    expect(dim.solved && testClipText(dim.solution).join()).toMatch(/stops? of it sinks? into black/);
    expect(testClipText(named('Hut evening')).join()).toMatch(/no pulsing at 100 a second/);
  });
});
