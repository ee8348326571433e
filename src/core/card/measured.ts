/** The press as it is where the art lies: its survey, read over the art’s own area. */
import { type Area, deliveredOver, type PlatenMap, type Press } from '../press';
import type { ResolveInput } from './input';
import type { Print } from './order';

/** The art’s rectangle on the platen, mm from its middle. */
export function areaOfArt({ widthMm, heightMm, lay }: Pick<Print, 'widthMm' | 'heightMm' | 'lay'>): Area {
  const { xMm, yMm, turn } = lay ?? CENTRED;
  return turn % 180 === 0 ? { xMm, yMm, widthMm, heightMm } : { xMm, yMm, widthMm: heightMm, heightMm: widthMm };
}

/** The lay where none was said. */
export const CENTRED = { xMm: 0, yMm: 0, turn: 0 } as const;

/** The map of the platen in use; undefined: that platen was never surveyed. */
export const mapOf = ({ maps, press, print }: Pick<ResolveInput, 'maps' | 'press' | 'print'>): PlatenMap | undefined =>
  maps?.find((map) => map.pressId === press.id && map.platen === (print.choices.platenId ?? 'upper'));

/** The lower platen as surveyed: split heat is judged by it. */
function lowerAsMeasured({ maps, press, print }: ResolveInput): Press {
  const map = maps?.find((one) => one.pressId === press.id && one.platen === 'lower');
  if (!map || !press.lower) return press;
  const { offsetK, spreadK } = deliveredOver(map, areaOfArt(print));
  return { ...press, lower: { ...press.lower, offsetK, spreadK } };
}

/** The input with its press as surveyed under the art. A figure typed in for the upper platen after its survey stands. */
export function asMeasured(input: ResolveInput): ResolveInput {
  const press = lowerAsMeasured(input);
  const map = mapOf(input);
  if (!map || (press.calibration && press.calibration.on > map.on)) return press === input.press ? input : { ...input, press };
  const under = deliveredOver(map, areaOfArt(input.print));
  return { ...input, press: { ...press, calibration: { ...under, on: map.on, how: `survey, ${map.how}` } } };
}
