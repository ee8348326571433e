/** What the sheet says for this piece, its time and pressure, and the platen it is pressed on. */
import { groupOf, nominalOf, PRESSURE_BANDS, type PressureBand } from '../../materials';
import { isHandHeld } from '../../press';
import { sheetFor } from '../../sheet';
import { mm, phrase, seconds } from '../../units';
import { colourOf, massOf, pressOf, thicknessOf } from '../draft';
import { keptTime, keptWords, timeGoesByMass } from '../kept';
import { type Decision, given, HOUSE, SHEET, settings } from './decision';
import { massShare } from './mass';

/** Overlap of two spots of a hand press, mm. */
export const SPOT_OVERLAP_MM = 20;

const up = (band: PressureBand): PressureBand =>
  PRESSURE_BANDS[Math.min(PRESSURE_BANDS.length - 1, PRESSURE_BANDS.indexOf(band) + 1)] ?? band;

export const SHEET_DECISIONS: readonly Decision[] = [
  {
    id: 'sheet-for-fabric-group',
    field: 'temperature',
    decide: ({ product, fabric }) => {
      const group = groupOf(fabric);
      return given(
        product.overrides.some((one) => one.fabricGroup === group),
        () => ({ set: { group }, source: SHEET, says: phrase`The sheet of ${product.name} has settings of its own for ${group}.` }),
      );
    },
  },
  {
    id: 'sheet-for-colour-group',
    field: 'temperature',
    decide: ({ product, print }) => {
      const colour = colourOf(print);
      const group = product.colours.find((one) => one.name === colour)?.group;
      return given(group !== undefined && product.overrides.some((one) => one.colourGroup === group), () => ({
        set: { colour },
        source: SHEET,
        says: phrase`The sheet of ${product.name} has settings of its own for ${group ?? ''} colours; ${colour ?? ''} is one.`,
      }));
    },
  },
  {
    id: 'sheet-alternative',
    field: 'temperature',
    decide: ({ print, product }) => {
      const name = print.choices.alternative;
      return given(
        product.alternatives.some((one) => one.name === name),
        () => ({
          set: { alternative: name },
          source: 'operator',
          says: phrase`Chosen for this print: the sheet’s own alternative, ${name ?? ''}.`,
        }),
      );
    },
  },
  {
    id: 'sheet-stages',
    field: 'time',
    decide: ({ product }, { group, colour, alternative }) => {
      const sheet = sheetFor(product, { group, colour, alternative });
      const press = pressOf({ sheet });
      return {
        set: { sheet, timeS: nominalOf(press.timeS), band: press.pressure.band },
        source: SHEET,
        says: phrase`Sheet: ${settings(press)}.`,
      };
    },
  },
  {
    id: 'time-by-thermal-mass',
    field: 'time',
    decide: (input, draft) => {
      const { min, max } = pressOf(draft).timeS;
      const timeS = Math.round(min + (max - min) * massShare(input));
      return given(timeGoesByMass(input), () => ({
        set: { timeS },
        source: 'physics',
        says: phrase`${mm(thicknessOf(input))} of ${input.fabric.name} takes up ${(massOf(input) / 1000).toFixed(1)} kJ/m²K: between a thin panel and a thick block that asks for ${seconds(timeS)}.`,
      }));
    },
  },
  {
    id: 'time-kept-by-house',
    field: 'time',
    decide: (input, draft) => {
      const kept = keptTime(input);
      const { min, max } = pressOf(draft).timeS;
      if (!kept) return null;
      return kept.value >= min && kept.value <= max
        ? { set: { timeS: kept.value }, source: HOUSE, says: keptWords(kept, input) }
        : {
            set: {},
            source: HOUSE,
            says: phrase`House setting of ${seconds(kept.value)} lies outside this sheet’s ${seconds(min)} to ${seconds(max)}: left out.`,
          };
    },
  },
  {
    id: 'time-chosen',
    field: 'time',
    decide: ({ print: { choices } }) => {
      const { timeS } = choices;
      return timeS === undefined ? null : { set: { timeS }, source: 'operator', says: phrase`Chosen for this print: ${seconds(timeS)}.` };
    },
  },
  {
    id: 'pressure-firmer-on-slub',
    field: 'pressure',
    decide: ({ fabric }, { band }) =>
      given(fabric.texture === 'slubby' && (band === 'light' || band === 'medium'), () => ({
        set: { band: up(band) },
        source: 'fabric',
        says: phrase`${fabric.name} is slubby: one band firmer, so that the glue reaches between its threads.`,
      })),
  },
  {
    id: 'platen-swapped',
    field: 'base',
    decide: ({ press, print: { choices } }) => {
      const platen = press.swapPlatens.find((one) => one.id === choices.platenId);
      return platen
        ? {
            set: { platen: { name: platen.name, widthMm: platen.widthMm, heightMm: platen.heightMm } },
            source: 'operator',
            says: phrase`On the ${platen.name}, ${mm(platen.widthMm)} by ${mm(platen.heightMm)}.`,
          }
        : null;
    },
  },
  {
    id: 'spots-of-a-hand-press',
    field: 'time',
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
];
