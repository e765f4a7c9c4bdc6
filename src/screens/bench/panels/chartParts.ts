'use client';

import * as messages from '@/language/bench';
import { useEffect, useState } from 'react';
import { TERMS } from '@/core/loss/table';
import { TERM_LABEL } from '@/words/labels';
import type { Term } from '@/core/loss/table';
import { item } from '@/core/units/items';

/** The text face, as charts want to be told. */
// oxlint-disable-next-line catalogue/no-sentence -- The name of a typeface.
export const CHART_FACE = 'Atkinson Hyperlegible Next Variable';

/** Blue, orange, green … told apart by eyes of every kind. */
const HUES = ['#33658a', '#e0912f', '#2a7f62', '#b5446e', '#7d5ba6', '#8a7a35', '#4f9fb8', '#8c4a2f'];
/**
 * Each loss has one look, the same in every chart: eight hues plain, the same eight ruled aslant, then upright, then lying. Losses that
 * often stand side by side have hues of their own.
 */
const LOOKS: readonly Term[] = [
  ...(['noise', 'strobing', 'angle', 'steadiness', 'over', 'under', 'smear', 'resolution'] as const),
  ...(['viewWide', 'viewNarrow', 'tilt', 'drift', 'stutter', 'subjectBlur', 'bitRate', 'flicker'] as const),
  ...(['filter', 'cadence', 'editCrop', 'card', 'colour', 'wish', 'whiteBalance', 'meter'] as const),
  ...(['contrast', 'glare'] as const),
];
const RULINGS = ['plain', 'aslant', 'upright', 'lying'] as const;
type Ruling = (typeof RULINGS)[number];

/** How a loss looks in every chart. */
export function lookOf(term: Term): { hue: string; ruling: Ruling } {
  const at = LOOKS.indexOf(term);
  return { hue: item(HUES, at % HUES.length), ruling: item(RULINGS, Math.floor(at / HUES.length)) };
}

/** Terms that get a bar of their own; the rest are added up. */
const MOST = 7;
const WORTH_SHOWING = 0.05;

/** One term of loss over all places of a chart, with its fill. */
interface LossLayer {
  label: string;
  values: number[];
  hue: string;
  fill: CanvasPattern | string;
}

/** Weighted loss at each place, split into the terms that matter most, the largest first, and all else. */
export function lossLayers(places: readonly Record<Term, number>[]): LossLayer[] {
  const total = (term: Term): number => places.reduce((sum, loss) => sum + loss[term], 0);
  const shown = TERMS.filter((term) => places.some((loss) => loss[term] > WORTH_SHOWING))
    .sort((a, b) => total(b) - total(a))
    .slice(0, MOST);
  const rest = TERMS.filter((term) => !shown.includes(term));
  const layers = shown.map((term): LossLayer => {
    const { hue, ruling } = lookOf(term);
    return {
      label: TERM_LABEL[term],
      values: places.map((loss) => loss[term]),
      hue,
      fill: ruled(hue, ruling),
    };
  });
  const others = places.map((loss) => rest.reduce((sum, term) => sum + loss[term], 0));
  if (Math.max(0, ...others) > WORTH_SHOWING)
    layers.push({ label: messages.allElse, values: others, hue: '#777', fill: '#9a9a9a' });
  return layers;
}

/** The hue of one of several lines. */
export function hueOf(index: number): string {
  return item(HUES, index % HUES.length);
}

/** What charts are drawn in, as colours of the theme. */
export interface ChartInk {
  text: string;
  rule: string;
  mine: string;
  worked: string;
  warn: string;
}

/** Ink and rules of the theme, followed when it changes. */
export function useChartInk(): ChartInk {
  const [ink, setInk] = useState({
    text: '#1d1a15',
    rule: '#cfc6b2',
    mine: '#7a2a7d',
    worked: '#0a6259',
    warn: '#a8380b',
  });
  useEffect(() => {
    const read = (): void => {
      const style = getComputedStyle(document.documentElement);
      const of = (name: string): string => style.getPropertyValue(name).trim();
      setInk({
        text: of('--ink'),
        rule: of('--rule'),
        mine: of('--mine'),
        worked: of('--worked'),
        warn: of('--warn'),
      });
    };
    read();
    const observer = new MutationObserver(read);
    observer.observe(document.documentElement, { attributeFilter: ['data-theme'] });
    return () => {
      observer.disconnect();
    };
  }, []);
  return ink;
}

/** A fill that colour-blind eyes and grey printers tell apart: plain, or ruled at an angle of its own. */
function ruled(hue: string, ruling: Ruling): CanvasPattern | string {
  if (ruling === 'plain') return hue;
  const tile = document.createElement('canvas');
  tile.width = tile.height = 8;
  const pen = tile.getContext('2d');
  if (!pen) return hue;
  pen.fillStyle = hue;
  pen.fillRect(0, 0, 8, 8);
  pen.strokeStyle = '#ffffffb0';
  pen.lineWidth = 2;
  pen.beginPath();
  if (ruling === 'aslant') {
    pen.moveTo(-2, 10);
    pen.lineTo(10, -2);
  } else if (ruling === 'lying') {
    pen.moveTo(0, 4);
    pen.lineTo(8, 4);
  } else {
    pen.moveTo(4, 0);
    pen.lineTo(4, 8);
  }
  pen.stroke();
  return pen.createPattern(tile, 'repeat') ?? hue;
}
