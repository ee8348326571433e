/** How long it is pressed, and how long it is warmed or dried before. */

import { COVER_SHEETS } from '../../heat';
import { isHard } from '../../materials';
import { mm, phrase, seconds } from '../../units';
import { type Arranged, familyOf, massOf, pressOf, sheetStage, type Timed, thicknessOf } from '../draft';
import { houseSettingWords, houseTime, ownSeconds, timeScalesWithMass } from '../houseSettings';
import { driedIn } from '../stack';
import { testedStart, testedWords } from '../tested';
import { type Decision, HOUSE, SHEET, settings, when } from './decision';
import { massShare } from './mass';

export const TIMES: readonly Decision<Arranged, Timed>[] = [
  {
    id: 'time-by-sheet',
    field: 'time',
    rank: 'usual',
    decide: (_, known) => {
      const press = pressOf(known);
      return { set: { timeS: press.timeS.nominal }, source: SHEET, says: phrase`Sheet: ${settings(press)}.` };
    },
  },
  {
    id: 'time-by-thermal-mass',
    field: 'time',
    rank: 'piece',
    decide: (input, draft) => {
      const { min, max } = pressOf(draft).timeS;
      const timeS = Math.round(min + (max - min) * massShare(input));
      return when(timeScalesWithMass(input), () => ({
        set: { timeS },
        source: 'physics',
        says: phrase`${mm(thicknessOf(input))} of ${input.fabric.name} takes up ${(massOf(input) / 1000).toFixed(1)} kJ/m²K: between a thin panel and a thick block that asks for ${seconds(timeS)}.`,
      }));
    },
  },
  {
    id: 'time-kept-by-house',
    field: 'time',
    rank: 'particular',
    decide: (input, draft) => {
      const houseSetting = houseTime(input);
      const { min, max } = pressOf(draft).timeS;
      if (!houseSetting) return null;
      return houseSetting.value >= min && houseSetting.value <= max
        ? { set: { timeS: houseSetting.value }, source: HOUSE, says: houseSettingWords(houseSetting, input) }
        : {
            set: {},
            source: HOUSE,
            says: phrase`House setting of ${seconds(houseSetting.value)} lies outside this sheet’s ${seconds(min)} to ${seconds(max)}: left out.`,
          };
    },
  },
  {
    id: 'time-tested',
    field: 'time',
    rank: 'particular',
    decide: (input) => {
      const start = testedStart(input);
      return start && { set: { timeS: start.tested.timeS }, source: 'blank', says: testedWords(start, input) };
    },
  },
  {
    id: 'time-chosen',
    field: 'time',
    rank: 'operator',
    decide: ({ print: { choices } }) => {
      const { timeS } = choices;
      return timeS === undefined ? null : { set: { timeS }, source: 'operator', says: phrase`Chosen for this print: ${seconds(timeS)}.` };
    },
  },
  {
    id: 'pre-press-by-house',
    field: 'pre-press',
    rank: 'usual',
    decide: (input, draft) => {
      const { fabric, house } = input;
      if (isHard(fabric)) return null;
      const rule = house.rules.prePress;
      const prePressS = rule === 'computed' ? driedIn(input, draft) : house.figures.prePressS;
      return {
        set: { prePressS },
        source: rule === 'computed' ? 'physics' : HOUSE,
        says:
          rule === 'computed'
            ? phrase`House rule: as long as the damp in ${fabric.name} needs at ${String(house.room.humidityPercent)} % in the room, ${seconds(prePressS)}.`
            : phrase`House rule: our own ${seconds(prePressS)}.`,
      };
    },
  },
  {
    id: 'pre-warm-by-thermal-mass',
    field: 'pre-press',
    rank: 'piece',
    decide: (input) => {
      const { preWarmS, name } = familyOf(input.product);
      if (!isHard(input.fabric) || !preWarmS) return null;
      const prePressS = Math.round(preWarmS.least + (preWarmS.most - preWarmS.least) * massShare(input));
      return {
        set: { prePressS },
        source: 'physics',
        says: phrase`For ${name}, a hard blank is warmed and dried first; for its thickness ${seconds(prePressS)}.`,
      };
    },
  },
  {
    id: 'pre-press-by-sheet',
    field: 'pre-press',
    rank: 'particular',
    decide: (_, known) => {
      const stage = sheetStage(known, 'pre-press');
      if (!stage) return null;
      const cover = stage.cover === 'required' ? stage.coverKind : null;
      return {
        set: { prePressS: stage.timeS.nominal, prePressCover: cover },
        source: SHEET,
        says: phrase`Sheet: pre-press ${settings(stage)}${cover ? `, under ${COVER_SHEETS[cover].name}` : ''}.`,
      };
    },
  },
  {
    id: 'pre-press-chosen',
    field: 'pre-press',
    rank: 'operator',
    decide: (input) => {
      const own = ownSeconds(input, 'pre-press');
      if (!own) return null;
      const says = own.value === 0 ? phrase`${own.whose}: no pre-press.` : phrase`${own.whose}: ${seconds(own.value)}.`;
      return { set: { prePressS: own.value }, source: own.source, says };
    },
  },
];
