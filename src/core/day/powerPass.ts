import { bankUsableWh, cellWh, CHARGE_W, coldShare, USUAL_CELL } from '../camera/power';
import type { Gear } from '../records/outing';
import { airAtC } from './heat';
import type { Act, Cut, ResourceLevel } from './levels';
import type { Schedule } from './schedule';
import { hourOf, seconds, untilNextChance } from './stretches';
import type { Stretch } from './stretches';

/** How a camera's cells and bank empty over the day, changed and charged where it can be touched; adds what hands do. */
export function powerPass(
  stretches: readonly Stretch[],
  gear: Gear | undefined,
  day: Pick<Schedule, 'air' | 'fromMs'>,
  acts: Act[],
): ResourceLevel {
  const { count, ...cell } = gear?.cells ?? USUAL_CELL;
  const charging = gear?.charging ?? 'none';
  // In watt hours drawn warm: the cold makes each of them count for more.
  const full = cellWh(cell);
  let bank = charging === 'none' || !gear?.bank ? 0 : bankUsableWh(gear.bank.ampereHours);
  const bankFull = bank;
  const total = full * count + bank;
  const course: { atMs: number; share: number }[] = [];
  let inUse = 0;
  let left = full;
  let out: Cut | null = null;
  let needs = 0;
  const wants = (stretch: Stretch): number =>
    (stretch.load.powerW * seconds(stretch)) / 3600 / coldShare(airAtC(day.air, hourOf(stretch.fromMs, day)));
  const share = (): number => (left + full * (count - 1 - inUse) + bank) / total;
  stretches.forEach((stretch, at) => {
    const { chance } = stretch;
    if (chance && charging === 'breaks' && bank > 0) {
      const given = Math.min(bank, full - left, (CHARGE_W * seconds(chance)) / 3600);
      if (given > 0.05) {
        left += given;
        bank -= given;
        acts.push({ what: 'charge', atMs: chance.fromMs, toMs: chance.toMs, wattHours: given });
      }
    }
    const need = wants(stretch);
    needs += need;
    if (chance && inUse + 1 < count) {
      const fromBank = charging === 'recording' ? bank : 0;
      if (untilNextChance(stretches, at, wants) > left + fromBank && left < full) {
        inUse += 1;
        left = full;
        acts.push({ what: 'cell', atMs: chance.fromMs, to: inUse });
      }
    }
    course.push({ atMs: stretch.fromMs, share: share() });
    const fed = charging === 'recording' ? Math.min(bank, need) : 0;
    bank -= fed;
    const own = need - fed;
    if (own > left + 1e-9 && !out)
      out = {
        atMs: stretch.fromMs + ((fed + left) / need) * (stretch.toMs - stretch.fromMs),
        partId: stretch.part.id,
      };
    left = Math.max(0, left - own);
    course.push({ atMs: stretch.toMs, share: share() });
  });
  return { course, out, needs, has: full * count + bankFull };
}
