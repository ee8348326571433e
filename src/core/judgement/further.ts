/** What every closing beside the press stage is set to, and how far those with a heat of their own keep inside their bounds. */
import type { Further, Furthers, PreparedInput } from '../draft';
import type { ChosenStage } from '../sheet';
import { aimOf, type Margin, marginsAt, settable, sheetBounds, type Window, windowOf, worstAt } from '../window';
import type { PressWindow, SetValues } from './judgement';

/** A closing with a window of its own: what it is set to, and how far it keeps inside each bound there. */
export interface SetClosing {
  kind: ChosenStage;
  window: Window;
  margins: Margin[];
}

/**
 * Set values of every closing, and those closings beside the press stage that have a window of their own.
 *
 * @param pressC set value of the press stage
 */
export function closingsSet(
  input: PreparedInput,
  furthers: Furthers,
  pressC: number,
  { lowerC, boundsFor }: Pick<PressWindow, 'lowerC' | 'boundsFor'>,
): { values: SetValues; further: SetClosing[] } {
  const further: SetClosing[] = [];
  /** As it was chosen or is kept; else the press stage's set value where it serves, or the best of its own window. */
  const at = (closing: Further | null): number => {
    if (!closing || (!closing.tempC && closing.ownC === null)) return pressC;
    const { kind, tempC, onCloth, ownC } = closing;
    const bounds = [...(tempC ? sheetBounds(tempC) : []), ...(onCloth ? boundsFor(onCloth) : [])];
    const window = windowOf(input, bounds, tempC && aimOf(tempC));
    const serves = worstAt(window, window.bounds, pressC) === 'clear';
    const setC = ownC !== null ? settable(input.press, ownC) : serves ? pressC : window.bestSetC;
    further.push({ kind, window, margins: marginsAt(window, setC) });
    return setC;
  };
  const { prePress, marry, finish, tack } = furthers;
  const values = { press: pressC, lower: lowerC, prePress: at(prePress), marry: at(marry), finish: at(finish), tack: tack.map(at) };
  return { values, further };
}
