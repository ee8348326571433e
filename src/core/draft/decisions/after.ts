/** What follows from how it lies and how long it is pressed: spots, trial, second press, rub, weight, drying wool. */

import { COVER_SHEETS } from '../../heat';
import { byHouse, type HouseRules } from '../../house';
import { isHard } from '../../materials';
import { isHandHeld } from '../../press';
import { mm, phrase, seconds } from '../../units';
import { type Draft, sheetStage, type Timed, thicknessOf, trialOf } from '../draft';
import { houseTime, ownSeconds } from '../houseSettings';
import { type Decision, HOUSE, SHEET, when } from './decision';

/** Overlap of two spots of a hand press, mm. */
export const SPOT_OVERLAP_MM = 20;
/** Damp wool is dried so long at least, s. */
const WOOL_DRIES_S = 10;
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
      return when(isHandHeld(press) && spots > 1, () => ({
        set: { spots },
        source: 'press',
        says: phrase`The art is larger than the sole of ${press.name}: ${String(spots)} spots of ${seconds(timeS)} each, overlapping by ${mm(SPOT_OVERLAP_MM)}.`,
      }));
    },
  },
  {
    id: 'pre-press-under-the-chosen-cover',
    field: 'pre-press',
    rank: 'operator',
    decide: ({ print: { choices } }, { cover, prePressS, prePressCover }) =>
      when(choices.cover === true && cover !== null && prePressS > 0 && prePressCover === null, () => ({
        set: { prePressCover: cover },
        source: 'operator',
        says: phrase`The cover chosen for this print lies over the pre-press too: the bare face is shielded throughout.`,
      })),
  },
  {
    id: 'pre-press-dries-wool',
    field: 'pre-press',
    rank: 'piece',
    decide: (input, { prePressS }) =>
      when(
        ownSeconds(input, 'pre-press') === null && input.fabric.composition.some((part) => part.fibre === 'wool' && part.percent >= 5),
        () => ({
          set: { prePressS: Math.max(prePressS, WOOL_DRIES_S) },
          source: 'fabric',
          says: phrase`Wool felts under pressure while it is damp: dry it for at least ${seconds(WOOL_DRIES_S)}.`,
        }),
      ),
  },
  {
    id: 'finish-by-house',
    field: 'finish',
    rank: 'usual',
    decide: ({ house, fabric, product }, { peel }) => {
      if (peel === 'none' || isHard(fabric)) return null;
      if (product.secondPress === 'flattens')
        return { set: {}, source: SHEET, says: phrase`No second press by house rule: it would flatten ${product.name}.` };
      if (product.secondPress === 'not needed') return null;
      const always = byHouse(house, 'secondPress', { always: true, 'when an edge looks proud': false });
      return {
        set: { finish: always ? { timeS: house.figures.finishS, cover: 'paper', sheet: null, pull: 'none' } : null },
        source: HOUSE,
        says: phrase`House rule for a second press: ${always ? 'always' : 'only when an edge stands up'}.`,
      };
    },
  },
  {
    id: 'finish-by-sheet',
    field: 'finish',
    rank: 'piece',
    decide: (_, known) => {
      const finish = sheetStage(known, 'finish');
      if (!finish) return null;
      const { timeS, coverKind, ownHeat, peel } = finish;
      const pull = peel === 'none' ? phrase`` : phrase`; it is pulled ${peel}`;
      return {
        set: { finish: { timeS: timeS.nominal, cover: coverKind, sheet: ownHeat ? finish : null, pull: peel } },
        source: SHEET,
        says: phrase`The sheet asks for a second press of ${seconds(timeS.nominal)} under ${COVER_SHEETS[coverKind].name}${pull}.`,
      };
    },
  },
  {
    id: 'finish-chosen',
    field: 'finish',
    rank: 'operator',
    decide: (input, known) => {
      const own = ownSeconds(input, 'finish');
      if (!own) return null;
      const { value: timeS, source, whose } = own;
      if (timeS === 0) return { set: { finish: null }, source, says: phrase`${whose}: no second press.` };
      const stage = sheetStage(known, 'finish');
      const finish = {
        timeS,
        cover: stage?.coverKind ?? ('paper' as const),
        sheet: stage?.ownHeat ? stage : null,
        pull: stage?.peel ?? ('none' as const),
      };
      return { set: { finish }, source, says: phrase`${whose}: a second press of ${seconds(timeS)}.` };
    },
  },
  {
    id: 'rub-while-hot',
    field: 'peel',
    rank: 'usual',
    decide: ({ print, product }, { peel, marry }) =>
      when((print.smallType || (product.rub && !marry)) && peel !== 'none', () => ({
        set: { rub: true },
        source: SHEET,
        says: print.smallType
          ? phrase`Small type: rubbed down under a cloth while it is hot.`
          : phrase`The sheet asks for it: rubbed down under a cloth while it is hot.`,
      })),
  },
  {
    id: 'trial-on-scrap',
    field: 'time',
    rank: 'usual',
    decide: (input, draft) => {
      const trial = trialOf({ ...draft, trial: input.product.trialFirst });
      if (!trial) return null;
      return houseTime(input)?.value === draft.timeS
        ? {
            set: {},
            source: HOUSE,
            says: phrase`No trial: the house’s time was found by one. A new roll wants its own: take the setting off then.`,
          }
        : {
            set: { trial: true },
            source: SHEET,
            says: phrase`How it rises differs from roll to roll: try from ${seconds(trial.fromS)} in steps of ${seconds(trial.stepS)}, each on a fresh scrap, and keep the best.`,
          };
    },
  },
  {
    id: 'weight-on-thin-acrylic',
    field: 'peel',
    rank: 'usual',
    decide: (input) =>
      when(curls(input), () => ({
        set: { weight: true },
        source: 'blank',
        says: phrase`Acrylic of ${mm(thicknessOf(input))} curls as it cools: it cools under a flat weight.`,
      })),
  },
  {
    id: 'cools-where-the-house-lays-it',
    field: 'peel',
    rank: 'usual',
    decide: ({ house: { rules } }, known) =>
      when(isPeeled(known, 'warm') || isPeeled(known, 'cold'), () => ({
        set: { coolsOn: rules.coolsOn },
        source: HOUSE,
        says: phrase`House rule: pieces cool ${COOLS_ON[rules.coolsOn]}.`,
      })),
  },
  {
    id: 'never-cold-on-a-hot-base',
    field: 'peel',
    rank: 'piece',
    decide: ({ house }, known) =>
      when(
        byHouse(house, 'coolsOn', { table: false, air: false, rack: false, base: true }) &&
          (isPeeled(known, 'cold') || (known.split && isPeeled(known, 'warm'))),
        () => ({
          set: { coolsOn: 'table' },
          source: 'physics',
          says: known.split
            ? phrase`A hot lower platen lets nothing cool: it is laid on a table.`
            : phrase`On a warm base a piece does not get cold for a long time: it is laid on a table.`,
        }),
      ),
  },
  {
    id: 'cold-under-its-weight',
    field: 'peel',
    rank: 'piece',
    decide: (input, known) =>
      when(curls(input) && isPeeled(known, 'cold'), () => ({
        set: { coolsOn: 'weight' },
        source: 'blank',
        says: phrase`It is flat only if it gets cold under its weight: the weight comes before the peel.`,
      })),
  },
];

/** Whether it bends as it cools. */
const curls = (input: Parameters<typeof thicknessOf>[0]): boolean =>
  input.fabric.substrate === 'acrylic' && thicknessOf(input) <= THIN_ACRYLIC_MM;

const COOLS_ON: Record<HouseRules['coolsOn'], string> = {
  table: 'on a table',
  air: 'hung up, in the air',
  rack: 'on a rack',
  base: 'on the base',
};

/** Whether anything of a piece is peeled so: its transfer, a lower layer, its mask, or the cover of its second press. */
const isPeeled = (known: Timed, as: 'warm' | 'cold'): boolean =>
  [known.peel, known.mask, sheetStage(known, 'finish')?.peel, ...known.under.map(({ press }) => press.peel)].includes(as);
