/** After the run: what happened against the plan, and what to change next time, with the evidence. */
import { mean } from 'simple-statistics';
import type { Card } from '../card';
import { type House, type HouseSetting, houseSetting, type SettingOf } from '../house';
import type { ChosenStage } from '../sheet';
import type { SpoilReason } from './choices';
import { isOfTheHeat } from './faults';
import { type DoneClosing, type DonePeel, type LostTransfer, PEEL_HEATS, type PieceResult, type RunState } from './state';

/** Mean and planned seconds of the closings of one stage. */
export interface StageTimes {
  stage: string;
  plannedS: number;
  meanS: number;
  n: number;
  /** Closings opened later than planned by `LATE_S` or more, and sooner by as much. */
  late: number;
  early: number;
}

/** Peels of one kind: how long after the opening they came. */
export interface PeelTimes {
  peel: DonePeel['peel'];
  plannedS: number;
  meanS: number;
  n: number;
  /** Hot ones that came after 3 s, warm ones that had grown cold. */
  late: number;
  early: number;
}

export interface AfterRun {
  minutes: number;
  /** Of one piece, as the card reckons it and as it was. */
  plannedPerPiece: number;
  tookPerPiece: number | null;
  times: StageTimes[];
  peels: PeelTimes[];
  spoiled: { reason: SpoilReason; pieces: number[] }[];
  laidBack: number[];
  /** Sheets and transfers lost while their blanks are still good. */
  lost: readonly LostTransfer[];
  changes: NextTime[];
  doubted: Doubted[];
}

/** Pieces that came out good with a setting, and spoiled by what the heat does. */
interface Evidence {
  good: number;
  spoiled: number;
}

/** A setting by its kind: s, °C on the readout, or a band. */
type Change =
  | Pick<SettingOf<'time'>, 'of' | 'value'>
  | Pick<SettingOf<'temperature'>, 'of' | 'value'>
  | Pick<SettingOf<'pressure'>, 'of' | 'value'>;

/** A change for next time and what speaks for it; `stage`: the closing it is of, absent: the full press. */
export type NextTime = Change & Evidence & { stage?: ChosenStage };

/** A setting of the house that most pieces went wrong with. */
export interface Doubted extends Evidence {
  setting: HouseSetting;
}

/** What was done to a piece, whether it had its verdict or the run was stopped before. */
type Worked = Pick<PieceResult, 'closings' | 'peels'>;

/** Opened so much off its time counts as late or early, s. */
const LATE_S = 2;

/** How much longer it was shut than set, s. */
const offS = ({ closedAt, openedAt, plannedS }: DoneClosing): number => (openedAt - closedAt) / 1000 - plannedS;

function timesOf(worked: readonly Worked[]): StageTimes[] {
  const closings = worked.flatMap((worked) => worked.closings);
  return [...new Set(closings.map(({ stage }) => stage))].map((stage) => {
    const own = closings.filter((closing) => closing.stage === stage);
    const off = own.map(offS);
    const plannedS = own.reduce((sum, doneClosing) => sum + doneClosing.plannedS, 0) / own.length;
    return {
      stage,
      plannedS,
      meanS: plannedS + off.reduce((sum, value) => sum + value, 0) / own.length,
      n: own.length,
      late: off.filter((value) => value >= LATE_S).length,
      early: off.filter((value) => value <= -LATE_S).length,
    };
  });
}

/** A peel is late once it waited so much longer than carded, s, where the card does not say until when it is warm; a cold one never is. */
const PEEL_LATE_S: Record<DonePeel['peel'], number> = { hot: 3, warm: 15, cold: Number.POSITIVE_INFINITY };
/** And early by so much less, s. */
const PEEL_EARLY_S = 5;

function peelsOf(worked: readonly Worked[]): PeelTimes[] {
  const all = worked.flatMap((worked) => worked.peels);
  return PEEL_HEATS.flatMap((peel) => {
    const own = all.filter((donePeel) => donePeel.peel === peel);
    if (own.length === 0) return [];
    return {
      peel,
      plannedS: mean(own.map(({ plannedS }) => plannedS)),
      meanS: mean(own.map(({ tookS }) => tookS)),
      n: own.length,
      late: own.filter(({ plannedS, tookS, untilS }) => tookS > (untilS ?? plannedS + PEEL_LATE_S[peel])).length,
      early: own.filter(({ plannedS, tookS }) => plannedS - tookS >= PEEL_EARLY_S).length,
    };
  });
}

/** Whether it had the time that was set: a press opened off by so much says nothing of it. */
const hadItsTime = ({ closings }: PieceResult): boolean =>
  closings.every((closing) => closing.stage !== 'press' || Math.abs(offS(closing)) < LATE_S);

function evidenceOf(results: readonly PieceResult[]): Evidence {
  const own = results.filter(hadItsTime);
  return {
    good: own.filter(({ outcome }) => outcome === 'good').length,
    spoiled: own.filter(({ reason }) => isOfTheHeat(reason)).length,
  };
}

/** How a piece was set otherwise than carded, each kind that was. */
function setOtherwise({ setS, setC, closings }: PieceResult): Change[] {
  const band = closings.findLast(({ stage, spot }) => stage === 'press' && !spot)?.band;
  return [
    ...(setS === null ? [] : [{ of: 'time' as const, value: setS }]),
    ...(setC === null ? [] : [{ of: 'temperature' as const, value: setC }]),
    ...(band === undefined ? [] : [{ of: 'pressure' as const, value: band }]),
  ];
}

/** Whether a setting is the card's own; a temperature goes there and back between units on its way. */
function asCarded({ set }: Pick<Card, 'set'>, { of, value }: Change): boolean {
  if (of === 'pressure') return value === set.pressure.band;
  return Math.abs(value - (of === 'time' ? set.timeS : set.tempC)) < 0.05;
}

const isSame = (a: Change, b: Change): boolean => a.of === b.of && a.value === b.value;
const distinct = (changes: readonly Change[]): Change[] =>
  changes.filter((change, i) => changes.findIndex((other) => isSame(other, change)) === i);

/** Settings other than carded that more pieces came out good than spoiled with. */
function changesOf(card: Pick<Card, 'set'>, results: readonly PieceResult[]): NextTime[] {
  return distinct(results.flatMap(setOtherwise))
    .filter((change) => !asCarded(card, change))
    .map((change) => ({
      ...change,
      ...evidenceOf(results.filter((result) => setOtherwise(result).some((other) => isSame(other, change)))),
    }))
    .filter(({ good, spoiled }) => good > spoiled);
}

/** Whether a closing of a stage was made with a setting. */
const wasSet = ({ of, value }: Change, { plannedS, setC, band }: DoneClosing): boolean =>
  value === { time: plannedS, temperature: setC, pressure: band }[of];

/** What the other closings were set to in the run, where more pieces came out good than spoiled with it. */
function stageChangesOf({ sets }: Pick<RunState, 'sets'>, results: readonly PieceResult[]): NextTime[] {
  const own = Object.entries(sets).filter(([stage]) => stage !== 'press') as [ChosenStage, RunState['sets']['press']][];
  return own
    .flatMap(([stage, set]) => [
      ...(set?.timeS === undefined ? [] : [{ stage, of: 'time' as const, value: set.timeS }]),
      ...(set?.tempC === undefined ? [] : [{ stage, of: 'temperature' as const, value: set.tempC }]),
      ...(set?.band === undefined ? [] : [{ stage, of: 'pressure' as const, value: set.band }]),
    ])
    .map((change) => ({
      ...change,
      ...evidenceOf(results.filter(({ closings }) => closings.some((c) => c.stage === change.stage && wasSet(change, c)))),
    }))
    .filter(({ good, spoiled }) => good > spoiled);
}

const KINDS = ['time', 'temperature', 'pressure'] as const;

/** Settings of the house the card stood on, where no fewer of the pieces pressed by it were spoiled by the heat than came out good. */
function doubtedOf(card: Pick<Card, 'set' | 'of'>, results: readonly PieceResult[], house: Pick<House, 'settings'>): Doubted[] {
  const { pressId, productId } = card.of;
  return KINDS.flatMap((of) => {
    const setting = houseSetting(house, { pressId, productId, of });
    const evidence = evidenceOf(results.filter((result) => setOtherwise(result).every((change) => change.of !== of)));
    const doubtful = evidence.spoiled > 0 && evidence.spoiled >= evidence.good;
    return setting && doubtful && asCarded(card, setting) ? [{ setting, ...evidence }] : [];
  });
}

/** The card as the press is left after a run: with what was set otherwise than carded. */
export const asLeft = (card: Card, { setS, setC }: Pick<RunState, 'setS' | 'setC'>): Card => ({
  ...card,
  set: { ...card.set, timeS: setS ?? card.set.timeS, tempC: setC ?? card.set.tempC },
});

/**
 * What a run came to.
 *
 * @param startedAt ms since the epoch
 * @param house as it is now
 */
export function afterRun(
  card: Pick<Card, 'set' | 'of' | 'minutesPerPiece'>,
  run: RunState,
  startedAt: number,
  house: Pick<House, 'settings'>,
): AfterRun {
  const { results } = run;
  const worked = [...results, ...run.dropped];
  const minutes = (run.lastAt - startedAt) / 60_000;
  const reasons = [...new Set(results.flatMap(({ reason }) => reason ?? []))];
  return {
    minutes,
    plannedPerPiece: card.minutesPerPiece,
    tookPerPiece: results.length > 0 ? minutes / results.length : null,
    times: timesOf(worked),
    peels: peelsOf(worked),
    spoiled: reasons.map((reason) => ({ reason, pieces: results.filter((result) => result.reason === reason).map(({ piece }) => piece) })),
    laidBack: results.filter((result) => result.laidBack > 0).map(({ piece }) => piece),
    lost: run.lost,
    changes: [...changesOf(card, results), ...stageChangesOf(run, results)],
    doubted: doubtedOf(card, results, house),
  };
}
