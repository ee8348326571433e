/**
 * How hot the base has become: it takes up heat while the press is shut on it, empty or on a piece, and gives it off while it
 * stands open. An estimate that says when a hot marry-peel has heat from below, and when the base burns.
 */
import { setNow } from './heat';
import type { RunPlan } from './plan';
import type { RunState } from './state';

/** A usual silicone sponge pad: its diffusivity m²/s (0.10 W/mK, 450 kg/m³, 1300 J/kgK) and thickness, m. */
const PAD = { diffusivity: 0.1 / (450 * 1300), thicknessM: 0.008 } as const;
/** Slowest mode of a slab heated on one face, the other held from losing: `τ = 4·L²/(π²·α)`, s. @see Carslaw & Jaeger, §3.4 */
export const SHUT_TAU_S = (4 * PAD.thicknessM ** 2) / (Math.PI ** 2 * PAD.diffusivity);
/** Left open it loses to the air by about 12 W/m²K: `τ = ρ·c·L/h`, s. */
const OPEN_TAU_S = (450 * 1300 * PAD.thicknessM) / 12;

/** A base so near to the platen's heat lets a married sheet part: of the way from the room. About five minutes shut. */
export const MARRIES_AT = 0.85;
/** What is touched for a second burns from here on, °C. */
const BURNS_C = 60;

/** Times at which the press was shut, and opened; null: it still is. */
type Shut = readonly [from: number, to: number | null];

/** Every time the press was shut so far, in order. */
function shutTimes({ base, results, active, dropped }: Pick<RunState, 'base' | 'results' | 'active' | 'dropped'>): Shut[] {
  const done = [...results, ...active, ...dropped].flatMap(({ closings }) =>
    closings.map(({ closedAt, openedAt }): Shut => [closedAt, openedAt]),
  );
  const now = active.filter(({ phase }) => phase === 'closed').map(({ since }): Shut => [since, null]);
  // pieces of one closing each carry it
  const unique = new Map([...base, ...done, ...now].map((shut) => [shut[0], shut]));
  return [...unique.values()].sort(([a], [b]) => a - b);
}

/**
 * How far the base has come from the room to the platen's heat, 0 to 1.
 *
 * @param now ms since the epoch
 */
export function baseShare(run: Pick<RunState, 'base' | 'results' | 'active' | 'dropped'>, now: number): number {
  let [cold, at] = [1, 0];
  for (const [from, to] of shutTimes(run)) {
    const end = Math.min(to ?? now, now);
    if (from >= now) break;
    // open until it is shut, then shut: what is missing to the platen's heat grows, and shrinks
    cold = 1 - (1 - cold) * Math.exp(-Math.max(0, from - at) / 1000 / OPEN_TAU_S);
    cold *= Math.exp(-Math.max(0, end - from) / 1000 / SHUT_TAU_S);
    at = end;
  }
  return (1 - cold) * Math.exp(-Math.max(0, now - at) / 1000 / OPEN_TAU_S);
}

/**
 * Seconds the press is still to be shut until a hot marry-peel has its heat from below; 0: it has.
 *
 * @param share how far the base has come from the room to the platen's heat, 0 to 1
 * @example marryInS(0.5) // 182.69
 */
export const marryInS = (share: number): number => (share >= MARRIES_AT ? 0 : SHUT_TAU_S * Math.log((1 - share) / (1 - MARRIES_AT)));

/** Whether hands that reach over the base now may burn themselves. */
export const baseBurns = (plan: RunPlan, run: RunState): boolean =>
  baseHeat(plan, baseShare(run, run.lastAt), setNow(plan, run))?.burns ?? false;

/** The base's temperature, °C, and whether it burns; null: nobody knows what the press is set to. */
export function baseHeat(plan: Pick<RunPlan, 'heat'>, share: number, setC: number | null): { baseC: number; burns: boolean } | null {
  if (setC === null || !plan.heat) return null;
  const baseC = plan.heat.roomC + share * (setC - plan.heat.roomC);
  return { baseC, burns: baseC >= BURNS_C };
}
