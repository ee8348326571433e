/** The press as it is where the art lies: its survey, read over the art’s own area. */

import type { Print } from '../order';
import type { Lay } from '../placement';
import { type Area, afterCheck, aged, daysBetween, type PlatenMap, type Press, type Surface, surfaceOf, surfaceOver } from '../press';
import type { PreparedInput, ResolveInput } from './input';
import { layOf, poseOf } from './pose';

/** The art’s rectangle on the platen, mm from its middle. */
export function areaOfArt({ widthMm, heightMm }: Pick<Print, 'widthMm' | 'heightMm'>, { xMm, yMm, turn }: Lay): Area {
  return turn % 180 === 0 ? { xMm, yMm, widthMm, heightMm } : { xMm, yMm, widthMm: heightMm, heightMm: widthMm };
}

/** Where the art of a card lies: as it was chosen, else as it was worked out. */
export const layIn = ({ pose, print }: Pick<PreparedInput, 'pose' | 'print'>): Lay => layOf(pose, print.lay);

/** The map of the platen in use; undefined: that platen was never surveyed. */
export const mapOf = ({ maps, press, print }: Pick<ResolveInput, 'maps' | 'press' | 'print'>): PlatenMap | undefined =>
  maps?.find((map) => map.pressId === press.id && map.platen === (print.choices.platenId ?? 'upper'));

/** A surface as it is known on a later day. */
function later(surface: Surface, { press, uses }: ResolveInput, from: string, to: string): Surface {
  const since = (on: string) => uses?.find((use) => use.pressId === press.id && use.on === on)?.closings ?? 0;
  return aged(surface, { days: daysBetween(from, to), closings: Math.max(0, since(from) - since(to)) });
}

/** A surface that was measured on a day, as it is known today: a quick check made since then tells how far it has wandered. */
function asKnown(input: ResolveInput, surface: Surface, platen: string, on: string): Surface {
  const { press, today, checks } = input;
  const check = checks?.find((check) => check.pressId === press.id && check.platen === platen && check.on >= on);
  const checked = check ? afterCheck(surface, later(surface, input, on, check.on), check) : surface;
  return today === undefined ? checked : later(checked, input, check?.on ?? on, today);
}

/** The lower platen as surveyed: split heat is judged by it. */
function lowerAsMeasured(input: ResolveInput, art: Area): Press {
  const { maps, press } = input;
  const map = maps?.find((map) => map.pressId === press.id && map.platen === 'lower');
  if (!map || !press.lower) return press;
  const { offsetK, spreadK } = asKnown(input, surfaceOver(map, art), 'lower', map.on);
  return { ...press, lower: { ...press.lower, offsetK, spreadK } };
}

/** What was found of the upper platen last, and when: a figure typed in after its survey stands. Null: it was never measured. */
function lastFound(
  press: Press,
  map: PlatenMap | undefined,
  art: Area,
): { surface: Surface; on: string; how: string; isMap: boolean } | null {
  const { calibration } = press;
  if (calibration && (!map || calibration.on > map.on))
    return { surface: surfaceOf(press, art), on: calibration.on, how: calibration.how, isMap: false };
  return map ? { surface: surfaceOver(map, art), on: map.on, how: `survey, ${map.how}`, isMap: true } : null;
}

/** The press and its surface under the art, as it is known today. */
function asMeasured(input: ResolveInput, art: Area): { press: Press; surface: Surface } {
  const press = lowerAsMeasured(input, art);
  const found = lastFound(press, mapOf(input), art);
  if (!found) return { press, surface: surfaceOf(press, art) };
  const { on, how } = found;
  // a check is told against a map: to a figure typed in later it says nothing
  const known = found.isMap ? input : { ...input, checks: [] };
  const surface = asKnown(known, found.surface, input.print.choices.platenId ?? 'upper', on);
  const { offsetK, spreadK, slope, spreadPerK, refC } = surface;
  return { press: { ...press, calibration: { offsetK, spreadK, slope, spreadPerK, refC, on, how } }, surface };
}

/** What every judgement starts from: the print placed, the piece laid, the press as it is under the art. */
export function prepared(input: ResolveInput): PreparedInput {
  const pose = poseOf(input);
  return { ...input, pose, ...asMeasured(input, areaOfArt(input.print, layIn({ ...input, pose }))) };
}
