/**
 * What measuring is worth: how many pieces of the open work a survey is expected to save from being spoiled, and how many lamps it
 * would change, before it is made.
 *
 * @see Raiffa & Schlaifer, Applied Statistical Decision Theory, ch. 4: expected value of sample information
 */
import { areaOfArt, layIn, type PreparedInput, prepared, type ResolveInput } from '../draft';
import { judge, LAW } from '../judgement';
import {
  bandOfTenths,
  commonDoubt,
  correctedBy,
  type Foreseen,
  foreseen,
  type Instrument,
  instrumentError,
  type Normal,
  type Plan,
  PRIOR,
  type Press,
  SURE,
  type Surface,
} from '../press';
import { LAMP_STATES, type LampState } from '../window';
import type { Worth } from './replies';

/** A print that is still to be pressed. */
export interface OpenPrint {
  input: ResolveInput;
  /** Pieces left of it. */
  pieces: number;
}

/** A survey the shop could make, or a quick check whether its press still is as its survey found it. */
export interface Measuring {
  plan: Plan | 'check';
  instrument: Instrument;
  /** About as long as it takes, minutes. */
  minutes: number;
}

export const MEASURINGS: readonly Measuring[] = [
  { plan: 'check', instrument: { kind: 'probe' }, minutes: 1 },
  { plan: 'five', instrument: { kind: 'probe' }, minutes: 6 },
  { plan: 'nine', instrument: { kind: 'probe' }, minutes: 10 },
  { plan: 'five', instrument: { kind: 'strip', stepK: 6 }, minutes: 8 },
  { plan: 'nine', instrument: { kind: 'strip', stepK: 6 }, minutes: 14 },
  { plan: 'five', instrument: { kind: 'infrared', emissivitySet: 0.95 }, minutes: 2 },
];

/**
 * How much hotter than was believed a platen may be found, in standard normal values, and how likely each is: the trapezoid rule,
 * which for a normal is as good as exact.
 */
const STEP = 0.7;
const HOTTER = Array.from({ length: 11 }, (_, i) => {
  const z = STEP * (i - 5);
  return { hotter: z, share: (STEP * Math.exp((-z * z) / 2)) / Math.sqrt(2 * Math.PI) };
});
/** What is less likely than this is left out, and the rest weighed to one. */
const LEAST_SHARE = 0.001;

const RANK: Record<LampState, number> = { clear: 0, care: 1, hold: 2 };

/** A part of a surface after a survey: its middle moved by what was found out, its doubt what is left. */
function posterior({ meanK, sdK }: Normal, leftK: number, movedK: number, hotter: number): Normal {
  const left = Math.min(sdK, leftK);
  return { meanK: meanK + movedK + hotter * Math.sqrt(sdK ** 2 - left ** 2), sdK: left };
}

/** The surface under the art once a survey, made at a setting, has found it so much hotter and so uneven. */
function surfaceAfter(now: Surface, { coolestK, hottestK, mostK, unevenK }: Foreseen, hotter: number, refC: number): Surface {
  const tenths = {
    coolest: posterior(now.coolest, coolestK, -unevenK, hotter),
    hottest: posterior(now.hottest, hottestK, unevenK, hotter),
    most: posterior(now.most, mostK, unevenK, hotter),
  };
  return { ...tenths, ...bandOfTenths(tenths), slope: 0, spreadPerK: SURE * PRIOR.slope, refC };
}

/** Whether a survey would leave less doubt than there is: a press that is known as well already is told nothing new. */
const tellsMore = ({ coolest, hottest }: Surface, left: readonly Foreseen[]): boolean =>
  left.reduce((sum, { weight, coolestK, hottestK }) => sum + weight * (coolestK + hottestK), 0) < coolest.sdK + hottest.sdK;

/** A press that was just surveyed. The day says only that there is one. */
const surveyed = (press: Press, { offsetK, spreadK, slope, spreadPerK, refC }: Surface): Press => ({
  ...press,
  calibration: { offsetK, spreadK, slope, spreadPerK, refC, on: press.calibration?.on ?? '2000-01-01', how: 'survey' },
});

interface Outcome {
  spoiled: number;
  lamp: LampState;
  setC: number;
  /** All that speaks against it is that its pressure is a guess. */
  onlyPressure: boolean;
  /** Something holds it that no survey lifts: it is not pressed as things are. */
  isHoldByOther: boolean;
}

/** Rules that two pairs of a gauge would settle. */
const OF_PRESSURE: readonly string[] = ['pressure-guessed', 'pressure-beyond'];

/** What a print comes to as it is known now. */
function outcomeOf(input: PreparedInput): Outcome {
  const { lamp, soundChance, set } = judge(input, LAW);
  const onlyPressure = lamp.state === 'care' && lamp.findings.every(({ rule }) => OF_PRESSURE.includes(rule));
  const isHoldByOther = lamp.findings.some(({ level, from }) => level === 'hold' && from === 'rule');
  return { spoiled: 1 - soundChance, lamp: lamp.state, setC: set.tempC, onlyPressure, isHoldByOther };
}

/** A surface as a measurement may find it, and how likely that is. */
interface Possible {
  after: Surface;
  share: number;
}

/** Surfaces a survey may find; none where the press is known as well already. */
const afterSurveys = (surface: Surface, left: readonly Foreseen[], refC: number): Possible[] =>
  tellsMore(surface, left)
    ? left
        .flatMap((foreseen) => HOTTER.map(({ hotter, share }) => ({ one: foreseen, hotter, share: share * foreseen.weight })))
        .filter(({ share }) => share >= LEAST_SHARE)
        .map(({ one, hotter, share }) => ({ after: surfaceAfter(surface, one, hotter, refC), share }))
    : [];

/** Places of a quick check. */
const CHECKED = 3;
/** A check that would narrow the doubt by less than this is none, K. */
const CHECK_TELLS_K = 0.5;

/** Surfaces a quick check may find; none on a press without a survey to tell it against, or one that was just made. */
function afterChecks({ press, surface }: PreparedInput, instrument: Instrument): Possible[] {
  if (!press.calibration?.how.startsWith('survey')) return [];
  const { commonK, scatterK } = instrumentError(instrument);
  const sdK = Math.hypot(commonK, scatterK / Math.sqrt(CHECKED));
  const before = commonDoubt(surface);
  const after = commonDoubt(correctedBy(surface, 0, { sdK }));
  if (before - after < CHECK_TELLS_K) return [];
  const movesK = Math.sqrt(before ** 2 - after ** 2);
  return HOTTER.filter(({ share }) => share >= LEAST_SHARE).map(({ hotter, share }) => ({
    after: correctedBy(surface, hotter * movesK, { sdK }),
    share,
  }));
}

/** Areas are taken to so many mm, so that like art shares what is foreseen for it. */
const AREA_STEP_MM = 20;
const near = (mm: number): number => AREA_STEP_MM * Math.round(mm / AREA_STEP_MM);

/** What is expected of a print once its press is surveyed; null: it is known as well already. @param refC the setting it is surveyed at, °C */
function expectedAfter(
  input: PreparedInput,
  { plan, instrument }: Measuring,
  refC: number,
): { spoiled: number; lamps: Record<LampState, number> } | null {
  const { press, surface } = input;
  const area = areaOfArt(input.print, layIn(input));
  const nearArea = {
    xMm: near(area.xMm),
    yMm: near(area.yMm),
    widthMm: Math.max(AREA_STEP_MM, near(Math.min(area.widthMm, press.platen.widthMm))),
    heightMm: Math.max(AREA_STEP_MM, near(Math.min(area.heightMm, press.platen.heightMm))),
  };
  const surfaces =
    plan === 'check' ? afterChecks(input, instrument) : afterSurveys(surface, foreseen(press.platen, nearArea, plan, instrument), refC);
  if (surfaces.length === 0) return null;
  const lamps: Record<LampState, number> = { clear: 0, care: 0, hold: 0 };
  let spoiled = 0;
  const all = surfaces.reduce((sum, { share }) => sum + share, 0);
  for (const { after, share } of surfaces) {
    const outcome = outcomeOf({ ...input, surface: after, press: surveyed(press, after) });
    spoiled += (share / all) * outcome.spoiled;
    lamps[outcome.lamp] += share / all;
  }
  return { spoiled, lamps };
}

/** A press is surveyed at the temperature it is used at: the mean of what is to be pressed on it, °C. */
const surveyedAt = (prints: readonly Print[]): number =>
  prints.reduce((sum, { pieces, now }) => sum + pieces * now.setC, 0) / prints.reduce((sum, { pieces }) => sum + pieces, 0);

interface Print {
  input: PreparedInput;
  pieces: number;
  now: Outcome;
}

const PAIRS_MINUTES = 15;

/** What tying a gauge to real pressures would change: lamps, for no chance of a piece hangs on it yet. Null: nothing. */
function pressureWorth(prints: readonly Print[]): Worth | null {
  const [first] = prints;
  const changed = prints.filter(({ now }) => now.onlyPressure).length;
  if (!first || changed === 0) return null;
  return {
    pressId: first.input.press.id,
    pressName: first.input.press.name,
    measure: { kind: 'pressure pairs' },
    minutes: PAIRS_MINUTES,
    prints: prints.length,
    pieces: prints.reduce((sum, { pieces }) => sum + pieces, 0),
    spoiledNow: prints.reduce((sum, { pieces, now }) => sum + pieces * now.spoiled, 0),
    saved: 0,
    lampsChanged: changed,
    lampsBetter: changed,
  };
}

/** Adds what a survey is expected to do for a print. @param after null: nothing, the press is known as well already */
function count(worth: Worth, { pieces, now }: Print, after: ReturnType<typeof expectedAfter>): void {
  worth.pieces += pieces;
  worth.spoiledNow += pieces * now.spoiled;
  if (!after) return;
  worth.saved += pieces * Math.max(0, now.spoiled - after.spoiled);
  for (const state of LAMP_STATES) {
    if (state !== now.lamp) worth.lampsChanged += after.lamps[state];
    if (RANK[state] < RANK[now.lamp]) worth.lampsBetter += after.lamps[state];
  }
}

/** A survey saves something when it is expected to save so much of a piece, or to change so much of a lamp. */
const WORTH_PIECES = 0.05;
const WORTH_LAMPS = 0.05;

/**
 * What each survey of each press is worth to the open work, the most first; what would change nothing is left out.
 *
 * A survey narrows what is believed of a platen and moves its middle; for every way it may come out each print is judged again,
 * at the set value it would have then, and the outcomes are weighed by how likely they are. A press whose figures are as narrow
 * already is told nothing new.
 */
export function worthOf(open: readonly OpenPrint[], measurings: readonly Measuring[] = MEASURINGS): Worth[] {
  const byPress = new Map<string, Print[]>();
  for (const { input, pieces } of open) {
    if (pieces <= 0) continue;
    const preparedInput = prepared(input);
    const now = outcomeOf(preparedInput);
    if (now.isHoldByOther) continue;
    byPress.set(preparedInput.press.id, [...(byPress.get(preparedInput.press.id) ?? []), { input: preparedInput, pieces, now }]);
  }
  const worths = [...byPress.values()].flatMap((prints) => {
    const refC = surveyedAt(prints);
    const pressure = pressureWorth(prints);
    const surveys = measurings.map((measuring): Worth => {
      const { press } = (prints[0] as (typeof prints)[number]).input;
      const worth: Worth = {
        pressId: press.id,
        pressName: press.name,
        measure: { kind: 'survey', plan: measuring.plan, instrument: measuring.instrument.kind },
        minutes: measuring.minutes,
        prints: prints.length,
        pieces: 0,
        spoiledNow: 0,
        saved: 0,
        lampsChanged: 0,
        lampsBetter: 0,
      };
      for (const print of prints) count(worth, print, expectedAfter(print.input, measuring, refC));
      return worth;
    });
    return pressure ? [...surveys, pressure] : surveys;
  });
  return worths
    .filter(({ saved, lampsChanged }) => saved >= WORTH_PIECES || lampsChanged >= WORTH_LAMPS)
    .sort((a, b) => b.saved - a.saved || b.lampsBetter - a.lampsBetter || a.minutes - b.minutes);
}
