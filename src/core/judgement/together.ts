/** Together: a time within the sheet at which a set value is Clear, where none is at the sheet's own time. */
import { bondAt, bondSd, bondsOf, SOUND_ENOUGH } from '../bond';
import { type Draft, isTimeSettled, type PreparedInput, pressOf, type Reason } from '../draft';
import { soundChanceOf } from '../heat';
import { bandOf, dwells } from '../press';
import { phrase, seconds, setTemp } from '../units';
import { aimedAt, aimOf, marginsAt, settableBetween, worstAt } from '../window';
import { windowFromAbove } from './bounds';
import { soundChanceIn } from './lamp';
import { limitsOf } from './limits';

/** Times that are looked through at most, from the nearest to the sheet's own. */
const MOST_TRIED = 12;

/** Times the press's timer can be set to within the sheet, the nearest to now first; the time now is not among them. */
function otherTimes({ press }: PreparedInput, draft: Draft): number[] {
  const { timerStepS: step = 1 } = press;
  const { min, max } = dwells(press, pressOf(draft).timeS);
  const steps = Math.round((max - min) / step);
  const every = Math.max(1, Math.ceil(steps / MOST_TRIED));
  const times = Array.from({ length: Math.floor(steps / every) + 1 }, (_, i) => Math.round(10 * (min + i * every * step)) / 10);
  return times
    .filter((timeS) => Math.abs(timeS - draft.timeS) > 1e-6)
    .sort((a, b) => Math.abs(a - draft.timeS) - Math.abs(b - draft.timeS));
}

/**
 * The nearest time within the sheet at which the best set value is Clear, bond and dye included; null: there is none, the time was
 * settled by somebody, or the heat is split, whose pair follows the time by itself.
 *
 * A Hold is not lifted so: what the sheet's own time does not allow is offered as a way out, and taken by hand.
 */
export function clearTime(input: PreparedInput, draft: Draft): { timeS: number; setC: number; reason: Reason } | null {
  if (draft.split || isTimeSettled(input, draft)) return null;
  for (const timeS of otherTimes(input, draft)) {
    const setC = clearSetting(input, { ...draft, timeS });
    if (setC === null) continue;
    const { min, max } = pressOf(draft).timeS;
    const says = phrase`Time and temperature are weighed together: ${seconds(timeS)}, within the sheet’s ${seconds(min)} to ${seconds(max)}, at ${setTemp(setC, input.press.set.unit)} is Clear, and no setting at ${seconds(draft.timeS)} is.`;
    return { timeS, setC, reason: { field: 'time', source: 'physics', says } };
  }
  return null;
}

/** A set value that is Clear, from the best by the bounds to what the sheet aims at; null: none, or its bond is not known. */
function clearSetting(input: PreparedInput, draft: Draft): number | null {
  const { press } = input;
  const { tempC } = pressOf(draft);
  const aim = aimOf(tempC);
  const { window } = windowFromAbove(input, draft, limitsOf(input, draft.passesMark, false));
  const isClear = (setC: number) => worstAt(window, window.bounds, setC) === 'clear';
  const settings = settableBetween(press, window.bestSetC, aimedAt(window, press, aim)).filter(isClear);
  if (settings.length === 0) return null;
  const points = bondsOf(input, draft, { low: tempC.min, high: tempC.max }, null);
  const sd = points && bondSd(input, draft, window, null);
  if (!points || sd === null) return null;
  const soundChance = (setC: number) =>
    soundChanceIn(marginsAt(window, setC), soundChanceOf(bondAt(points, bandOf(window, setC).midC), sd));
  return settings.find((setC) => soundChance(setC) >= SOUND_ENOUGH) ?? null;
}
