/** What follows from how it lies and how long it is pressed: spots, trial, second press, rub, weight, drying wool. */

import { PRE_PRESS_S } from '../../house';
import { isHard, nominalOf } from '../../materials';
import { isHandHeld } from '../../press';
import { mm, phrase, seconds } from '../../units';
import { type Draft, sheetStage, type Timed, thicknessOf, trialOf } from '../draft';
import { keptTime } from '../kept';
import { type Decision, given, HOUSE, SHEET } from './decision';

/** Overlap of two spots of a hand press, mm. */
export const SPOT_OVERLAP_MM = 20;
/** A second press by house rule, s. */
const SECOND_PRESS_S = 5;
/** Cast acrylic up to this thickness curls as it cools, mm. */
const THIN_ACRYLIC_MM = 4;

export const AFTER: readonly Decision<Timed, Draft>[] = [
  {
    id: 'spots-of-a-hand-press',
    field: 'time',
    rank: 'usual',
    decide: ({ press, print }, { timeS }) => {
      const along = (art: number, sole: number) => (art <= sole ? 1 : Math.ceil((art - sole) / (sole - SPOT_OVERLAP_MM)) + 1);
      const spots = along(print.widthMm, press.platen.widthMm) * along(print.heightMm, press.platen.heightMm);
      return given(isHandHeld(press) && spots > 1, () => ({
        set: { spots },
        source: 'press',
        says: phrase`The art is larger than the sole of ${press.name}: ${String(spots)} spots of ${seconds(timeS)} each, overlapping by ${mm(SPOT_OVERLAP_MM)}.`,
      }));
    },
  },
  {
    id: 'pre-press-dries-wool',
    field: 'pre-press',
    rank: 'piece',
    decide: ({ fabric }, { prePressS }) =>
      given(
        fabric.composition.some((part) => part.fibre === 'wool' && part.percent >= 5),
        () => ({
          set: { prePressS: Math.max(prePressS, PRE_PRESS_S.long) },
          source: 'fabric',
          says: phrase`Wool felts under pressure while it is damp: dry it for at least ${seconds(PRE_PRESS_S.long)}.`,
        }),
      ),
  },
  {
    id: 'finish-by-house',
    field: 'finish',
    rank: 'usual',
    decide: ({ house, fabric }, { peel }) => {
      const always = house.rules.secondPress === 'always';
      return given(peel !== 'none' && !isHard(fabric), () => ({
        set: { finish: always ? { timeS: SECOND_PRESS_S, cover: 'paper', sheet: null } : null },
        source: HOUSE,
        says: phrase`House rule for a second press: ${house.rules.secondPress}.`,
      }));
    },
  },
  {
    id: 'finish-by-sheet',
    field: 'finish',
    rank: 'sheet',
    decide: (_, draft) => {
      const finish = sheetStage(draft, 'finish');
      return finish
        ? {
            set: { finish: { timeS: nominalOf(finish.timeS), cover: finish.coverKind, sheet: finish } },
            source: SHEET,
            says: phrase`The sheet asks for a second press of ${seconds(nominalOf(finish.timeS))}.`,
          }
        : null;
    },
  },
  {
    id: 'rub-while-hot',
    field: 'peel',
    rank: 'usual',
    decide: ({ print, product }, { peel }) =>
      given((product.rub || print.smallType) && peel !== 'none', () => ({
        set: { rub: true },
        source: SHEET,
        says: product.rub
          ? phrase`A married sheet is rubbed down under a cloth while it is hot.`
          : phrase`Small type: rubbed down under a cloth while it is hot.`,
      })),
  },
  {
    id: 'trial-on-scrap',
    field: 'time',
    rank: 'usual',
    decide: (input, draft) => {
      const trial = trialOf({ ...draft, trial: input.product.trialFirst });
      if (!trial) return null;
      return keptTime(input)?.value === draft.timeS
        ? {
            set: {},
            source: HOUSE,
            says: phrase`No trial: the house’s time was found by one. A new roll wants its own: take the setting off then.`,
          }
        : {
            set: { trial: true },
            source: SHEET,
            says: phrase`It rises by its own mind: try from ${seconds(trial.fromS)} in steps of ${seconds(trial.stepS)}, each on a fresh scrap, and keep the best.`,
          };
    },
  },
  {
    id: 'weight-on-thin-acrylic',
    field: 'peel',
    rank: 'usual',
    decide: (input) =>
      given(input.fabric.substrate === 'acrylic' && thicknessOf(input) <= THIN_ACRYLIC_MM, () => ({
        set: { weight: true },
        source: 'blank',
        says: phrase`Acrylic of ${mm(thicknessOf(input))} curls as it cools: it cools under a flat weight.`,
      })),
  },
];
