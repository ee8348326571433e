/**
 * Which of the possible acts comes next, and why.
 *
 * A hot peel never waits; a press whose time is up is opened; the first piece is looked at before more are pressed; a warm peel
 * is done before it is cold; then the press is kept busy; and what is left to the bench is done while the press is shut, as far
 * as it fits, or when the bench is full. The order of pieces at the press is the operator's: each to its end, or all of them
 * through one stage first.
 */
import { type Act, actsOf } from './acts';
import type { Style } from './choices';
import type { Live } from './heat';
import { onPress } from './lots';
import { surelyWithin } from './pace';
import { keepsWarmS, meetsBlankAt, placeOf, type RunPlan } from './plan';
import type { RunState } from './state';

/** Why an act is the next. */
export type Why =
  | 'hot peel'
  | 'hot rub'
  | 'other heat'
  | 'unread heat'
  | 'time is up'
  | 'first piece'
  | 'warm peel'
  | 'bench full'
  | 'press idle'
  | 'while it is shut'
  | 'nothing else'
  | 'paused';

export interface Choice {
  act: Act;
  why: Why;
}

/** With so many pieces waiting on the bench they come before the press: there is no room for more, and a fault in them is not seen. */
const BENCH_FULL = 4;

/** Among acts at an empty press: by the style, then the lowest piece. */
function forPress(plan: RunPlan, run: RunState, acts: readonly Act[], style: Style): Act | undefined {
  const isNew = ({ lot }: Act) => (run.active.includes(lot) ? 0 : 1);
  // what is left to do on pieces that were begun fills the wait of the last: while it does not, the next piece is begun first
  const fresh = backlogS(plan, run) < Math.max(0, ...acts.filter(isNew).map(({ lot }) => waitAfter(plan, lot.stage)));
  const toLook = plan.machine >= 2 && run.results.length === 0;
  const rank = (act: Act): number[] =>
    style === 'piece by piece' && toLook
      ? [act.lot.first]
      : style === 'step by step'
        ? [act.stage, act.lot.first]
        : [fresh ? -isNew(act) : isNew(act), -act.stage];
  return [...acts].sort((a, b) => compare([...rank(a), a.lot.first], [...rank(b), b.lot.first]))[0];
}

/** Seconds of hands and press that the pieces on their way still need. */
const backlogS = (plan: RunPlan, run: RunState): number =>
  run.active.reduce(
    (sum, lot) => sum + plan.stages.slice(lot.stage).reduce((s, stage) => s + (stage.by === 'clock' ? 0 : stage.timeS), 0),
    0,
  );

/** Longest wait still before a lot, s. */
const waitAfter = ({ stages }: RunPlan, stage: number): number =>
  stages.slice(stage).reduce((most, stage) => (stage.by === 'clock' ? Math.max(most, stage.timeS) : most), 0);

function compare(a: readonly number[], b: readonly number[]): number {
  for (const [i, x] of a.entries()) if (x !== b[i]) return x - (b[i] ?? 0);
  return 0;
}

/** Off the press: what has waited longest, and of what waits not, the lot that is farthest on. */
const onBench = (acts: readonly Act[]): Act | undefined =>
  [...acts].sort((a, b) => compare([a.from, -a.stage, a.lot.first], [b.from, -b.stage, b.lot.first]))[0];

/**
 * A second print is not closed before the first has been looked at: what is wrong with it is wrong with all. Nor does it take the
 * press while the first still wants it. Sheets are married meanwhile: they have no blank yet.
 */
export function waitsForFirst(plan: RunPlan, run: RunState, { kind, lot, stage, place }: Act): boolean {
  const first = run.active[0];
  if (plan.machine < 2 || run.results.length > 0 || !first || lot.first === first.first) return false;
  if (place !== 'press' || kind === 'opened' || stage < meetsBlankAt(plan)) return false;
  const firstAtPress = placeOf(plan, first.stage) === 'press';
  // a bare blank is pressed dry meanwhile; and what lies there as the first is laid back goes through before it
  if (kind === 'closed') return plan.stages[stage]?.kind !== 'pre-press' && !(firstAtPress && lot.onPress);
  return !lot.onPress && plan.stages.slice(first.stage).some(({ by }) => by === 'press');
}

/** What brings the first piece nearer to being looked at comes before another takes the press: others fill its waits. */
const isOfFirst = (plan: RunPlan, run: RunState, { lot, peel }: Act): boolean =>
  plan.machine >= 2 && run.results.length === 0 && run.active[0]?.first === lot.first && lot.closings.length > 0 && peel !== 'warm';

/** A warm peel: from when and until when it can be begun, ms, and how long hands surely are at it. */
interface WarmPeel {
  act: Act;
  from: number;
  until: number;
  handsMs: number;
}

const warmPeels = (plan: RunPlan, run: RunState, acts: readonly Act[]): WarmPeel[] =>
  acts.flatMap((act) => {
    const keepsS = act.peel === 'warm' ? keepsWarmS(plan, act.stage) : null;
    return keepsS === null
      ? []
      : [{ act, from: act.from, until: act.from + keepsS * 1000, handsMs: act.handsS * surelyWithin(run.pace) * 1000 }];
  });

/** Whether a warm peel can still be begun in time if the hands are first at something else, and the press is then shut until an instant. */
function isStillWarm({ from, until, handsMs }: WarmPeel, freeAt: number, shutUntil: number | null): boolean {
  const begins = Math.max(from, freeAt);
  const within = begins + handsMs <= (shutUntil ?? Number.POSITIVE_INFINITY);
  return begins <= until && (shutUntil === null || within || shutUntil + OPENING_MS <= until);
}
/** To open the press and turn from it, ms. */
const OPENING_MS = 2000;

/**
 * The act that comes next at an instant.
 *
 * @param now ms since the epoch
 * @param style in which order pieces come to the press
 * @param live what the press's panel says; null: no device tells
 * @returns null: nothing can be done before a clock is out
 */
export function chosen(plan: RunPlan, run: RunState, now: number, style: Style, live: Live | null = null): Choice | null {
  const acts = actsOf(plan, run, live);
  const ready = acts.filter((act) => act.from <= now && !waitsForFirst(plan, run, act));
  const urgent = urgentOf(plan, ready);
  if (urgent) return urgent;
  if (run.pausedAt !== null || (run.handsUntil !== null && run.handsUntil > now)) return null;
  const bench = ready.filter((act) => act.place === 'bench');
  const shut = run.active.find((lot) => lot.phase === 'closed');
  if (shut) return besideShut(plan, run, bench, ((shut.dueAt ?? now) - now) / 1000);
  const first = towardsFirst(plan, run, bench, style);
  if (first) return { act: first, why: 'first piece' };
  const on = onPress(run);
  const press = ready.filter((act) => act.place === 'press');
  const atPress = on ? press.find((act) => act.lot.first === on.first) : forPress(plan, run, press, style);
  const warm = warmFirst(plan, run, { acts, bench, atPress, now });
  if (warm !== undefined) return warm;
  const most = bench.length >= BENCH_FULL && !on ? onBench(bench) : undefined;
  if (most) return { act: most, why: 'bench full' };
  if (atPress) return { act: atPress, why: WHY_AT_PRESS[atPress.kind] ?? 'press idle' };
  const left = onBench(bench);
  return left ? { act: left, why: 'nothing else' } : null;
}
const WHY_AT_PRESS: Partial<Record<Act['kind'], Why>> = { turned: 'other heat', read: 'unread heat' };

/** What is begun beside a shut press: only what is surely done when its time is up. */
function besideShut(plan: RunPlan, run: RunState, bench: readonly Act[], leftS: number): Choice | null {
  const times = plan.machine >= 2 ? surelyWithin(run.pace) : 1;
  const fits = onBench(bench.filter((act) => act.handsS * times <= leftS + GRACE_S));
  return fits ? { act: fits, why: 'while it is shut' } : null;
}

/** The look at the first piece, and what brings it there. */
function towardsFirst(plan: RunPlan, run: RunState, bench: readonly Act[], style: Style): Act | undefined {
  if (run.results.length > 0) return undefined;
  const look = bench.find((act) => act.kind === 'kept');
  return look ?? (style === 'piece by piece' ? bench.find((act) => isOfFirst(plan, run, act)) : undefined);
}

/**
 * A warm peel that would grow cold over what is next at the press comes before it, or is waited for.
 *
 * @returns undefined: nothing grows cold; null: it is waited for
 */
function warmFirst(
  plan: RunPlan,
  run: RunState,
  { acts, bench, atPress, now }: { acts: readonly Act[]; bench: readonly Act[]; atPress: Act | undefined; now: number },
): Choice | null | undefined {
  const peels = warmPeels(plan, run, acts);
  if (peels.length === 0) return undefined;
  const sure = surelyWithin(run.pace);
  const freeAt = now + (atPress?.handsS ?? 0) * 1000 * sure;
  const shutUntil = atPress?.kind === 'closed' ? freeAt + (plan.stages[atPress.stage]?.timeS ?? 0) * 1000 : null;
  const endangered = peels.filter((peel) => peel.until >= now && atPress && !isStillWarm(peel, freeAt, shutUntil));
  const warm = endangered.find(({ act }) => act.from <= now) ?? latest(peels, now);
  if (warm) return { act: warm.act, why: 'warm peel' };
  const soon = endangered.find(({ from }) => from - now <= WARM_WAITED_MS);
  if (!soon) return undefined;
  // what is short enough fills the wait for it
  const short = onBench(bench.filter((act) => now + act.handsS * 1000 * sure <= soon.from));
  return short ? { act: short, why: 'nothing else' } : null;
}

/** What waits for nothing: a hot peel or rub, a press whose time is up. */
function urgentOf(plan: RunPlan, ready: readonly Act[]): Choice | null {
  const hot = ready.find((act) => act.peel === 'hot' && act.lot.onPress);
  if (hot) return { act: hot, why: 'hot peel' };
  const rub = ready.find((act) => plan.stages[act.stage]?.kind === 'rub');
  if (rub) return { act: rub, why: 'hot rub' };
  const up = ready.find((act) => act.kind === 'opened');
  return up ? { act: up, why: 'time is up' } : null;
}

/** A warm peel that was not begun in time: better now than later. */
const latest = (peels: readonly WarmPeel[], now: number): WarmPeel | undefined =>
  peels.find(({ from, until }) => from <= now && until < now);
/** A press opened so little late does no harm, s. */
const GRACE_S = 1;
/** The hands wait so long for a warm peel rather than shut the press over it, ms. */
const WARM_WAITED_MS = 25_000;

/** When something can next be done that cannot be done yet, ms; null: nothing waits for a clock. */
export function nextDue(plan: RunPlan, run: RunState, now: number): number | null {
  const clocks = [...run.active.map(({ dueAt }) => dueAt), run.handsUntil, ...actsOf(plan, run).map(({ from }) => from)];
  const later = clocks.filter((due): due is number => due !== null && due > now);
  return later.length > 0 ? Math.min(...later) : null;
}

/** The clock that is out first; null: none runs. */
export const firstDue = ({ active }: RunState): number | null =>
  active.reduce<number | null>((first, { dueAt }) => (dueAt !== null && (first === null || dueAt < first) ? dueAt : first), null);
