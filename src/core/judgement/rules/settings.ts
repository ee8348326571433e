/** Rules of what was chosen against the sheet: time, peel, cover, base, alternatives; and of the aids that lie there. */

import { type Draft, pressOf } from '../../draft';
import { type Aid, aidFor, coverAid } from '../../materials';
import { dwell } from '../../press';
import { phrase, seconds } from '../../units';
import { type Rule, when } from './rule';

/** Sheets and pads this card lays somewhere. */
function aidsNeeded({ cover, prePressCover, marry, finish, base, pad }: Draft): Aid['serves'][] {
  const needed: Aid['serves'][] = [];
  const covers = [cover, prePressCover, marry && marry.cover !== 'avoid' ? marry.coverKind : null, finish?.cover ?? null];
  for (const cover of covers) {
    const aid = cover && coverAid(cover);
    if (aid) needed.push(aid);
  }
  if (base !== 'usual pad') needed.push(base);
  if (pad === 'felt under') needed.push('felt');
  if (pad === 'soft pad over') needed.push('soft pad');
  if (pad === 'foam over' || pad === 'foam behind') needed.push('foam');
  return [...new Set(needed)];
}

export const SETTING_RULES: readonly Rule[] = [
  {
    id: 'time-off-sheet',
    field: 'time',
    level: 'hold',
    evaluate: ({ print }, draft) => {
      const { timeS } = print.choices;
      const { min, max } = pressOf(draft).timeS;
      return when(
        timeS !== undefined && (timeS < min || timeS > max),
        () => phrase`${seconds(timeS ?? 0)} lies outside the sheet’s ${seconds(min)} to ${seconds(max)}.`,
      );
    },
  },
  {
    id: 'finer-than-its-timer',
    field: 'time',
    level: 'care',
    evaluate: ({ print: { choices }, press }) => {
      const finer = [choices.timeS, ...Object.values(choices.stageS ?? {})].find(
        (timeS) => timeS && Math.abs(dwell(press, timeS) - timeS) > 1e-6,
      );
      return when(
        finer !== undefined,
        () =>
          phrase`${String(finer)} s was chosen, and the timer of ${press.name} is set in steps of ${String(press.timerStepS ?? 1)} s: ${{ q: 'duration', v: dwell(press, finer ?? 0), d: 1 }}.`,
      );
    },
  },
  {
    id: 'peel-off-sheet',
    field: 'peel',
    level: 'hold',
    evaluate: ({ print: { choices }, product }, draft) => {
      const own = pressOf(draft).peel;
      return when(
        choices.peel !== undefined && choices.peel !== own && !product.otherPeels.includes(choices.peel),
        () =>
          phrase`The sheet of ${product.name} says peel ${[own, ...product.otherPeels].join(' or ')}, and ${choices.peel ?? ''} was chosen.`,
      );
    },
  },
  {
    id: 'alternative-not-on-sheet',
    field: 'temperature',
    level: 'hold',
    evaluate: ({ print: { choices }, product }) =>
      when(
        choices.alternative !== undefined && !product.alternatives.some((alternative) => alternative.name === choices.alternative),
        () => phrase`The sheet of ${product.name} has no alternative called ${choices.alternative ?? ''}.`,
      ),
  },
  {
    id: 'cover-avoided',
    field: 'cover',
    level: 'hold',
    evaluate: ({ print, product }, draft) =>
      when(
        print.choices.cover === true && pressOf(draft).cover === 'avoid',
        () => phrase`The sheet of ${product.name} says no cover, and one was chosen.`,
      ),
  },
  {
    id: 'cover-required',
    field: 'cover',
    level: 'hold',
    evaluate: ({ print, product }, draft) =>
      when(
        print.choices.cover === false && pressOf(draft).cover === 'required',
        () => phrase`The sheet of ${product.name} asks for a cover, and none was chosen.`,
      ),
  },
  {
    id: 'static-without-cover',
    field: 'cover',
    level: 'care',
    evaluate: ({ print, product }, { cover }) =>
      when(
        product.static && product.carrier === 'film' && print.looseParts && cover === null,
        () => phrase`The carrier of ${product.name} holds static as the press opens: without a cover loose parts may jump. Open slowly.`,
      ),
  },
  {
    id: 'firm-base-no-pillow',
    field: 'base',
    level: 'hold',
    evaluate: ({ product }, { base }) =>
      when(
        product.base === 'firm' && base === 'pillow',
        () => phrase`The sheet of ${product.name} asks for a firm base: on a pillow its ink is not driven in.`,
      ),
  },
  {
    id: 'seam-needs-bridging',
    field: 'art',
    level: 'hold',
    evaluate: ({ print, product }) =>
      when(
        print.crossesSeam && !product.bridgesSeams,
        () =>
          phrase`The art is meant to run over a seam, and ${product.name} does not bridge seams: it would break along it. A thin elastic film does, on a pillow.`,
      ),
  },
  {
    id: 'seam-needs-pillow',
    field: 'base',
    level: 'hold',
    evaluate: ({ print, product }, { base }) =>
      when(
        print.crossesSeam && product.bridgesSeams && base !== 'pillow',
        () => phrase`Art over a seam needs a pillow under it, so that the seam sinks; ${base} was taken.`,
      ),
  },
  {
    id: 'aid-missing',
    field: 'cover',
    level: 'care',
    evaluate: ({ aids }, draft) => {
      const missing = aidsNeeded(draft).filter((serves) => aidFor(aids, serves) === null);
      return when(missing.length > 0, () => phrase`The shelf has no usable ${missing.join(' and no ')}: find one before the first piece.`);
    },
  },
  {
    id: 'aid-stands-in',
    field: 'cover',
    level: 'care',
    evaluate: ({ aids }, draft) => {
      const found = aidsNeeded(draft).flatMap((serves) => aidFor(aids, serves) ?? []);
      const swapped = found.find((foundAid) => foundAid.instead !== null);
      const worn = found.find((foundAid) => foundAid.aid.wear === 'worn');
      if (swapped) return phrase`${swapped.instead?.name ?? ''} is spent; ${swapped.aid.name} stands in for it. Watch the first piece.`;
      return when(
        worn !== undefined,
        () => phrase`${worn?.aid.name ?? ''} is worn: look it over for creases and burnt spots before it goes over a print.`,
      );
    },
  },
];
