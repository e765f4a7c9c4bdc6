import { takenOf, withOwn } from '@/core/records/figures';
import type { OwnValues } from '@/core/records/figures';
import type { Records } from '@/core/records/kinds';
import { FILE_VERSION } from '@/core/schema/versions';
import { worded } from '@/core/schema/fault';
import type { Checked } from '@/core/schema/fault';
import { adviceOn, daysOf, mainCameraFirst, worthOf } from '@/core/worth/worth';
import { wallClock } from '@/formats/clock';
import { adviceText, purchaseText, mainCameraText, purchaseSaves } from '@/words/purchaseText';

/** `--budget 120`; `null`: no limit. */
export function budgetIn(args: readonly string[]): Checked<number | null> {
  if (args.length === 0) return { ok: true, value: null };
  const [name, text, ...rest] = args;
  const budget = Number(text);
  if (name !== '--budget') return { ok: false, faults: [worded('', `unexpected "${name ?? ''}"`)] };
  if (rest.length > 0) return { ok: false, faults: [worded('', `unexpected "${rest.join(' ')}"`)] };
  return text !== undefined && text.trim() !== '' && budget >= 0 && Number.isFinite(budget)
    ? { ok: true, value: budget }
    : { ok: false, faults: [worded('--budget', 'expected a number from 0 up')] };
}

/** What is worth getting over the outings of a backup, and the best set for a budget, as plain JSON. */
export function worthReport(
  { outings, shots, prices, learned, eye }: Records,
  budget: number | null,
): object {
  const own: OwnValues = { learned: takenOf(learned), mine: eye[0]?.weights ?? null };
  const told = new Map(shots.map((record) => [record.id, { ...record, shot: withOwn(record.shot, own) }]));
  const worth = worthOf(daysOf(outings, told, wallClock));
  const priced = new Map(prices.map(({ id, price }) => [id, price]));
  const advice = adviceOn(worth, priced, budget ?? Infinity);
  const first = mainCameraFirst(worth);
  return {
    kind: 'lynxeye/worth',
    version: FILE_VERSION,
    recordings: worth.recordings,
    loss: worth.loss,
    mainCamera: worth.main,
    things: worth.things.map((one) => ({
      id: one.id,
      name: purchaseText(one),
      price: priced.get(one.id) ?? null,
      saves: one.saves,
      betters: one.improved,
      rights: one.cured,
      text: purchaseSaves(one, worth.recordings),
    })),
    budget,
    advice: {
      ...advice,
      text: [adviceText(worth, advice), mainCameraText(worth, first)].filter((one) => one !== null).join(' '),
    },
  };
}
