/** Again: the same card once more, and what has changed since on shelf, press and in the house. */

import type { Card } from '../card';
import type { Choices } from '../order';
import { type Phrase, phrase, seconds, setTemp, temp, tempDiff } from '../units';

const differs = (a: number, b: number, by = 0.05): boolean => Math.abs(a - b) > by;
const bound = (card: Card, side: string): number | undefined => card.window.bounds.find((one) => one.side === side)?.surfaceC;
const coverWords = (cover: Card['set']['cover']): string => cover ?? 'no cover';

/**
 * What differs between a card as it was and as it would be worked out now, each told as the operator would meet it.
 * Empty when nothing that bears on the pressing has changed.
 */
export function changesSince(was: Card, now: Card): Phrase[] {
  const says: Phrase[] = [];
  const say = (met: boolean, words: () => Phrase) => {
    if (met) says.push(words());
  };
  const unit = now.window.settable.unit;
  const [old, set] = [was.set, now.set];
  say(
    was.of.composition !== now.of.composition,
    () => phrase`The fabric was ${was.of.composition}; the shelf now says ${now.of.composition}.`,
  );
  say(
    was.of.sheet.on !== now.of.sheet.on && was.of.sheet.on !== '',
    () => phrase`The sheet of ${now.of.productName} was of ${was.of.sheet.on}; the shelf now has that of ${now.of.sheet.on}.`,
  );
  for (const side of ['sheet low', 'sheet high'] as const) {
    const [before, after] = [bound(was, side), bound(now, side)];
    if (before !== undefined && after !== undefined)
      say(
        differs(before, after),
        () => phrase`The sheet’s ${side === 'sheet low' ? 'least' : 'most'} was ${temp(before)}; now ${temp(after)}.`,
      );
  }
  say(
    differs(was.window.offsetK, now.window.offsetK),
    () => phrase`${now.of.pressName} ran ${tempDiff(was.window.offsetK)} off its readout; now ${tempDiff(now.window.offsetK)}.`,
  );
  say(
    differs(was.window.spreadK, now.window.spreadK),
    () => phrase`Its spread over the art was ${tempDiff(was.window.spreadK)}; now ${tempDiff(now.window.spreadK)}.`,
  );
  say(
    differs(old.tempC, set.tempC),
    () => phrase`It was set to ${setTemp(old.tempC, unit)}; worked out now it would be ${setTemp(set.tempC, unit)}.`,
  );
  say(old.timeS !== set.timeS, () => phrase`It was pressed ${seconds(old.timeS)}; now it would be ${seconds(set.timeS)}.`);
  say(old.pressure.band !== set.pressure.band, () => phrase`Pressure was ${old.pressure.band}; now ${set.pressure.band}.`);
  say(old.peel !== set.peel, () => phrase`Peel was ${old.peel}; now ${set.peel}.`);
  say(old.cover !== set.cover, () => phrase`It lay under ${coverWords(old.cover)}; now ${coverWords(set.cover)}.`);
  say(old.base !== set.base || old.pad !== set.pad, () => phrase`Base was ${old.base}, pad ${old.pad}; now ${set.base}, ${set.pad}.`);
  say(old.mirror !== set.mirror, () => phrase`The art was ${old.mirror}; now ${set.mirror}.`);
  return says;
}

/** Choices that hold a new print to the set values a card had, where they would now come out otherwise. */
export function choicesToRepeat(was: Card, now: Card, choices: Choices): Choices {
  return {
    ...choices,
    ...(differs(was.set.tempC, now.set.tempC) && { setC: was.set.tempC }),
    ...(was.set.timeS !== now.set.timeS && { timeS: was.set.timeS }),
    ...(was.set.cover !== now.set.cover && { cover: was.set.cover !== null }),
    ...(was.set.base !== now.set.base && { base: was.set.base }),
  };
}
