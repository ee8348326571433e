/** The press as it is where the art lies: its survey, read over the art’s own area. */

import type { Print } from '../order';
import type { Lay } from '../placement';
import { type Area, type PlatenMap, type Press, type Surface, surfaceOf, surfaceOver } from '../press';
import type { PreparedInput, ResolveInput } from './input';
import { laidOf, layOf } from './laid';

/** The art’s rectangle on the platen, mm from its middle. */
export function areaOfArt({ widthMm, heightMm }: Pick<Print, 'widthMm' | 'heightMm'>, { xMm, yMm, turn }: Lay): Area {
  return turn % 180 === 0 ? { xMm, yMm, widthMm, heightMm } : { xMm, yMm, widthMm: heightMm, heightMm: widthMm };
}

/** Where the art of a card lies: as it was chosen, else as it was worked out. */
export const layIn = ({ laid, print }: Pick<PreparedInput, 'laid' | 'print'>): Lay => layOf(laid, print.lay);

/** The map of the platen in use; undefined: that platen was never surveyed. */
export const mapOf = ({ maps, press, print }: Pick<ResolveInput, 'maps' | 'press' | 'print'>): PlatenMap | undefined =>
  maps?.find((map) => map.pressId === press.id && map.platen === (print.choices.platenId ?? 'upper'));

/** The lower platen as surveyed: split heat is judged by it. */
function lowerAsMeasured({ maps, press }: ResolveInput, art: Area): Press {
  const map = maps?.find((one) => one.pressId === press.id && one.platen === 'lower');
  if (!map || !press.lower) return press;
  const { offsetK, spreadK } = surfaceOver(map, art);
  return { ...press, lower: { ...press.lower, offsetK, spreadK } };
}

/** The press and its surface under the art, as surveyed. A figure typed in for the upper platen after its survey stands. */
function asMeasured(input: ResolveInput, art: Area): { press: Press; surface: Surface } {
  const press = lowerAsMeasured(input, art);
  const map = mapOf(input);
  if (!map || (press.calibration && press.calibration.on > map.on)) return { press, surface: surfaceOf(press, art) };
  const surface = surfaceOver(map, art);
  const { offsetK, spreadK, slope, spreadPerK, refC } = surface;
  const calibration = { offsetK, spreadK, slope, spreadPerK, refC, on: map.on, how: `survey, ${map.how}` };
  return { press: { ...press, calibration }, surface };
}

/** What every judgement starts from: the print placed, the piece laid, the press as it is under the art. */
export function prepared(input: ResolveInput): PreparedInput {
  const laid = laidOf(input);
  return { ...input, laid, ...asMeasured(input, areaOfArt(input.print, layIn({ ...input, laid }))) };
}
