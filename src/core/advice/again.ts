/** Again: the same card once more, and what has changed since on shelf, press and in the house. */

import type { Card, Stage } from '../card';
import type { Choices } from '../order';
import { CHOSEN_STAGES, type ChosenStage, CLOSING_NAMES } from '../sheet';
import { type Phrase, phrase, seconds, setTemp, temp, tempDiff } from '../units';

const differs = (a: number, b: number, by = 0.05): boolean => Math.abs(a - b) > by;
const bound = (card: Card, side: string): number | undefined => card.window.bounds.find((bound) => bound.side === side)?.surfaceC;
const coverWords = (cover: Card['set']['cover']): string => cover ?? 'no cover';

interface FurtherClosing {
  kind: ChosenStage;
  before: Stage | undefined;
  after: Stage | undefined;
}

/** The closings beside the press stage, then and now; of several tacks the first. */
const furtherClosings = (was: Card, now: Card): FurtherClosing[] =>
  CHOSEN_STAGES.map((kind) => ({
    kind,
    before: was.stages.find((stage) => stage.kind === kind),
    after: now.stages.find((stage) => stage.kind === kind),
  }));

/** Whether a closing has another set value than it had; one that goes with the press stage's is told with that. */
const isSetOtherwise = (was: Card, now: Card, before: Stage, after: Stage): boolean =>
  before.setC !== null &&
  after.setC !== null &&
  differs(before.setC, after.setC) &&
  !(before.setC === was.set.tempC && after.setC === now.set.tempC);

/** Choices that hold the other closings to what they were. */
function closingsToRepeat(was: Card, now: Card): Pick<Choices, 'stageS' | 'stageC' | 'stageBand'> {
  const stageS: NonNullable<Choices['stageS']> = {};
  const stageC: NonNullable<Choices['stageC']> = {};
  const stageBand: NonNullable<Choices['stageBand']> = {};
  for (const { kind, before, after } of furtherClosings(was, now)) {
    if (before && before.timeS !== after?.timeS) stageS[kind] = before.timeS;
    // only these two can be left out
    if (!before && after && (kind === 'pre-press' || kind === 'finish')) stageS[kind] = 0;
    if (before?.setC && after && isSetOtherwise(was, now, before, after)) stageC[kind] = before.setC;
    if (before?.set && after?.set && before.set.band !== after.set.band) stageBand[kind] = before.set.band;
  }
  const isAny = (of: object) => Object.keys(of).length > 0;
  return { ...(isAny(stageS) && { stageS }), ...(isAny(stageC) && { stageC }), ...(isAny(stageBand) && { stageBand }) };
}

/**
 * What differs between a card as it was and as it would be worked out now, each told as the operator would meet it.
 * Empty when nothing that bears on the pressing has changed.
 */
export function changesSince(was: Card, now: Card): Phrase[] {
  const says: Phrase[] = [];
  const say = (condition: boolean, words: () => Phrase) => {
    if (condition) says.push(words());
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
  for (const { kind, before, after } of furtherClosings(was, now)) {
    const name = CLOSING_NAMES[kind];
    if (!before || !after)
      say(before !== after, () =>
        before ? phrase`There was a ${kind}; now there is none.` : phrase`There was no ${kind}; now there is one.`,
      );
    else {
      say(before.timeS !== after.timeS, () => phrase`${name} was ${seconds(before.timeS)}; now ${seconds(after.timeS)}.`);
      say(
        isSetOtherwise(was, now, before, after),
        () => phrase`${name} was set to ${setTemp(before.setC ?? 0, unit)}; now ${setTemp(after.setC ?? 0, unit)}.`,
      );
      const [bandThen, bandNow] = [before.set?.band, after.set?.band];
      if (bandThen && bandNow) say(bandThen !== bandNow, () => phrase`${name} was pressed ${bandThen}; now ${bandNow}.`);
    }
  }
  say(old.pressure.band !== set.pressure.band, () => phrase`Pressure was ${old.pressure.band}; now ${set.pressure.band}.`);
  say(old.peel !== set.peel, () => phrase`Peel was ${old.peel}; now ${set.peel}.`);
  say(old.cover !== set.cover, () => phrase`It lay under ${coverWords(old.cover)}; now ${coverWords(set.cover)}.`);
  say(old.base !== set.base || old.pad !== set.pad, () => phrase`Base was ${old.base}, pad ${old.pad}; now ${set.base}, ${set.pad}.`);
  say(old.mirror !== set.mirror, () => phrase`The art was ${old.mirror}; now ${set.mirror}.`);
  return says;
}

/** Choices that hold a new print to the set values a card had, where they would now come out otherwise. */
export function choicesToRepeat(was: Card, now: Card, choices: Choices): Choices {
  const { stageS, stageC, stageBand } = closingsToRepeat(was, now);
  return {
    ...choices,
    ...(stageS && { stageS: { ...choices.stageS, ...stageS } }),
    ...(stageC && { stageC: { ...choices.stageC, ...stageC } }),
    ...(stageBand && { stageBand: { ...choices.stageBand, ...stageBand } }),
    ...(was.set.pressure.band !== now.set.pressure.band && { band: was.set.pressure.band }),
    ...(differs(was.set.tempC, now.set.tempC) && { setC: was.set.tempC }),
    ...(was.set.timeS !== now.set.timeS && { timeS: was.set.timeS }),
    ...(was.set.cover !== now.set.cover && { cover: was.set.cover !== null }),
    ...(was.set.base !== now.set.base && { base: was.set.base }),
  };
}
