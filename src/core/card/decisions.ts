/** The decisions of a card as data, in the order they are taken: each with the value it settles and its reason. A later one may overrule an earlier. */
import { FIBRES, groupOf, isHard, nominalOf, PRESSURE_BANDS, type PressureBand, type SheetStage, sheetFor, stageOf } from '../materials';
import { isHandHeld, pressOffset } from '../press';
import { mm, type Phrase, phrase, seconds, tempDiff } from '../units';
import { colourOf, type Draft, massOf, obstructionsUnder, pressOf, sheetStage, thicknessOf } from './draft';
import { PRE_PRESS_S } from './house';
import type { ResolveInput } from './input';
import type { Field, Reason } from './schema';

interface Decided {
  set: Partial<Draft>;
  source: Reason['source'];
  says: Phrase;
}

export interface Decision {
  id: string;
  field: Field;
  /** Null where it has nothing to say. */
  decide: (input: ResolveInput, draft: Draft) => Decided | null;
}

const SHEET = 'sheet' as const;
const HOUSE = 'house' as const;

/** Thermal mass at which a hard blank takes the shortest and the longest time of its sheet, J/m²K: a thin metal panel, a thick glass block. */
const MASS_RANGE = { least: 2_500, most: 31_500 } as const;
/** Pre-warm of a hard blank at those masses, s. */
const PRE_WARM_S = { least: 5, most: 40 } as const;
/** A lower layer's tack where its own sheet names none, s. */
const TACK_S = 3;
/** A second press by house rule, s. */
const SECOND_PRESS_S = 5;
/** Overlap of two spots of a hand press, mm. */
export const SPOT_OVERLAP_MM = 20;
/** Cast acrylic up to this thickness curls as it cools, mm. */
const THIN_ACRYLIC_MM = 4;
/** Higher things than this do not sink into a pillow, mm. */
export const PILLOW_SINKS_MM = 6;
const MOISTURE_LEAST_S = 3;
const MOISTURE_MOST_S = 30;

const massShare = (input: ResolveInput): number => {
  const { least, most } = MASS_RANGE;
  return Math.max(0, Math.min(1, (massOf(input) - least) / (most - least)));
};

/**
 * Seconds to boil this cloth's water off through its own resistance, from the room's humidity.
 * Latent heat 2.4 MJ/kg over the flux from a platen at the sheet's nominal; whole seconds, 3 to 30.
 */
function dryingTimeS({ fabric, house }: ResolveInput, platenC: number): number {
  const regain = fabric.composition.reduce((sum, part) => sum + (part.percent / 100) * FIBRES[part.fibre].regainPercent, 0);
  const waterKgM2 = (fabric.massGsm / 1000) * (regain / 100) * (house.room.humidityPercent / 65);
  const resistance = 1e-4 + fabric.thicknessMm / 2000 / fabric.thermal.k;
  const heatUpS =
    (massOf({ fabric, blank: { thicknessMm: fabric.thicknessMm } as ResolveInput['blank'] }) * 78 * resistance) /
    Math.max(20, platenC - 60);
  const boilS = (waterKgM2 * 2.4e6 * resistance) / Math.max(20, platenC - 100);
  return Math.max(MOISTURE_LEAST_S, Math.min(MOISTURE_MOST_S, Math.ceil(heatUpS + boilS)));
}

const up = (band: PressureBand): PressureBand =>
  PRESSURE_BANDS[Math.min(PRESSURE_BANDS.length - 1, PRESSURE_BANDS.indexOf(band) + 1)] ?? band;
const given = <T>(met: boolean, decided: () => T): T | null => (met ? decided() : null);
const settings = (stage: SheetStage): Phrase =>
  phrase`${seconds(stage.timeS.min)} to ${seconds(stage.timeS.max)}, nominal ${seconds(nominalOf(stage.timeS))}`;

export const DECISIONS: readonly Decision[] = [
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
      return given(input.product.timeByMass && isHard(input.fabric), () => ({
        set: { timeS },
        source: 'physics',
        says: phrase`${mm(thicknessOf(input))} of ${input.fabric.name} takes up ${(massOf(input) / 1000).toFixed(1)} kJ/m²K: between a thin panel and a thick block that asks for ${seconds(timeS)}.`,
      }));
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
  {
    id: 'cover-by-house',
    field: 'cover',
    decide: ({ house }, draft) => {
      const stage = pressOf(draft);
      const used = house.rules.coverWhenAllowed === 'always';
      return given(stage.cover === 'allowed', () => ({
        set: { cover: used ? stage.coverKind : null },
        source: HOUSE,
        says: phrase`The sheet leaves the cover open; house rule: ${house.rules.coverWhenAllowed}.`,
      }));
    },
  },
  {
    id: 'cover-holds-static-down',
    field: 'cover',
    decide: ({ product, print }, draft) =>
      given(product.static && product.carrier === 'film' && pressOf(draft).cover === 'allowed' && print.looseParts, () => ({
        set: { cover: pressOf(draft).coverKind },
        source: SHEET,
        says: phrase`Its film carrier is charged as the press opens and would lift loose parts: a cover keeps them down.`,
      })),
  },
  {
    id: 'cover-over-exposed-film',
    field: 'cover',
    decide: ({ under }, draft) =>
      given(under.length > 0 && pressOf(draft).cover === 'allowed', () => ({
        set: { cover: pressOf(draft).coverKind },
        source: SHEET,
        says: phrase`Film of the lower layers lies open beside the upper one: it needs a cover, or it sticks to the platen.`,
      })),
  },
  {
    id: 'cover-chosen',
    field: 'cover',
    decide: ({ print: { choices } }, draft) =>
      choices.cover === undefined || pressOf(draft).cover !== 'allowed'
        ? null
        : {
            set: { cover: choices.cover ? pressOf(draft).coverKind : null },
            source: 'operator',
            says: choices.cover ? phrase`Chosen for this print: a cover.` : phrase`Chosen for this print: no cover.`,
          },
  },
  {
    id: 'cover-by-sheet',
    field: 'cover',
    decide: (_, draft) => {
      const { cover, coverKind } = pressOf(draft);
      return given(cover !== 'allowed', () => ({
        set: { cover: cover === 'required' ? coverKind : null },
        source: SHEET,
        says:
          cover === 'required'
            ? phrase`The sheet asks for a cover, and beats the house rule.`
            : phrase`The sheet says no cover, and beats the house rule.`,
      }));
    },
  },
  {
    id: 'base-firm-by-sheet',
    field: 'base',
    decide: ({ product }) =>
      given(product.base === 'firm', () => ({ set: { base: 'firm pad' }, source: SHEET, says: phrase`The sheet asks for a firm base.` })),
  },
  {
    id: 'base-under-an-obstruction',
    field: 'base',
    decide: (input) => {
      const { product, house, press } = input;
      // on a cap press the foam behind the panel takes the seam
      const high = press.kind === 'cap' ? [] : obstructionsUnder(input);
      const words = high.map((one) => one.kind).join(' and ');
      if (high.length === 0 || house.rules.obstruction === 'hang off') return null;
      const raise = house.rules.obstruction === 'raise' || product.base === 'firm';
      return {
        set: { base: raise ? 'firm pad' : 'pillow' },
        source: HOUSE,
        says: raise
          ? phrase`The ${words} lies in the pressed area: the print is raised over it on a firm pad.`
          : phrase`The ${words} lies in the pressed area: a soft pillow lets it sink.`,
      };
    },
  },
  {
    id: 'base-pillow-across-a-seam',
    field: 'base',
    decide: ({ print, product }) =>
      given(print.crossesSeam && product.bridgesSeams && product.base === 'any', () => ({
        set: { base: 'pillow' },
        source: SHEET,
        says: phrase`The art runs over a seam: ${product.name} bridges it, on a pillow.`,
      })),
  },
  {
    id: 'base-chosen',
    field: 'base',
    decide: ({ print: { choices } }) =>
      choices.base ? { set: { base: choices.base }, source: 'operator', says: phrase`Chosen for this print: ${choices.base}.` } : null,
  },
  {
    id: 'pad-by-sheet',
    field: 'base',
    decide: ({ product }) =>
      given(product.pad !== 'none', () => ({
        set: { pad: product.pad },
        source: SHEET,
        says: phrase`The sheet asks for ${product.pad.replace('over', 'over it').replace('under', 'under it').replace('behind', 'behind it')}.`,
      })),
  },
  {
    id: 'pad-foam-in-a-cap',
    field: 'base',
    decide: ({ press, blank }, { pad }) =>
      given(press.kind === 'cap' && blank.kind === 'cap' && pad === 'none', () => ({
        set: { pad: 'foam behind' },
        source: 'press',
        says: phrase`A cap’s front panel is curved: foam behind it carries the pressure into the corners.`,
      })),
  },
  {
    id: 'pad-felt-under-hard',
    field: 'base',
    decide: ({ fabric, house }, { pad }) =>
      given(isHard(fabric) && pad === 'none' && house.rules.felt === 'protect', () => ({
        set: { pad: 'felt under' },
        source: HOUSE,
        says: phrase`House rule: felt under a hard blank, to spare the rubber of the base.`,
      })),
  },
  {
    id: 'mirror-by-facing-and-side',
    field: 'mirror',
    decide: ({ product, blank }) => {
      const through = blank.lookedAt === 'through the blank';
      const mirrored = (product.facing === 'face down') !== through;
      return {
        set: { mirror: mirrored ? 'mirrored' : 'as read' },
        source: SHEET,
        says: phrase`Laid ${product.facing} and looked at ${through ? 'through the blank' : 'from the side it is pressed on'}: the art is ${mirrored ? 'mirrored' : 'not mirrored'}.`,
      };
    },
  },
  {
    id: 'mirror-by-supplier',
    field: 'mirror',
    decide: ({ product }) =>
      given(product.mirroring === 'by the supplier', () => ({
        set: { mirror: 'by the supplier' },
        source: SHEET,
        says: phrase`Bought ready: the supplier has printed it the way it must lie.`,
      })),
  },
  {
    id: 'mirror-by-printer-path',
    field: 'mirror',
    decide: ({ product, blank }) =>
      given(product.mirroring === 'by the printer path' && blank.lookedAt === 'the printed side', () => ({
        set: { mirror: 'by the printer path' },
        source: SHEET,
        says: phrase`The printer turns it on its way through: send it as its sheet says, and check one R before the stack.`,
      })),
  },
  {
    id: 'loading-by-house',
    field: 'loading',
    decide: ({ fabric, house, blank }) =>
      given(!isHard(fabric) && blank.kind !== 'cap' && blank.kind !== 'journal', () => ({
        set: { loading: house.rules.loading },
        source: HOUSE,
        says: {
          threaded: phrase`House rule: threaded over the base, one layer under the heat.`,
          flat: phrase`House rule: laid flat, both layers under the heat.`,
          turned: phrase`House rule: turned round, so that the hands stay away from the heat.`,
        }[house.rules.loading],
      })),
  },
  {
    id: 'loading-neck-label',
    field: 'loading',
    decide: ({ print }) =>
      given(print.position === 'neck label', () => ({
        set: { loading: 'inside out' },
        source: 'blank',
        says: phrase`A neck label sits inside: the garment is turned inside out and threaded on a corner of the platen.`,
      })),
  },
  {
    id: 'pre-press-by-house',
    field: 'pre-press',
    decide: (input, draft) => {
      const { fabric, house } = input;
      if (isHard(fabric)) return null;
      const rule = house.rules.prePress;
      const prePressS = rule === 'computed' ? dryingTimeS(input, nominalOf(pressOf(draft).tempC)) : PRE_PRESS_S[rule];
      return {
        set: { prePressS },
        source: rule === 'computed' ? 'physics' : HOUSE,
        says:
          rule === 'computed'
            ? phrase`House rule: as long as the damp in ${fabric.name} needs at ${String(house.room.humidityPercent)} % in the room, ${seconds(prePressS)}.`
            : phrase`House rule: ${rule}, ${seconds(prePressS)}.`,
      };
    },
  },
  {
    id: 'pre-press-dries-wool',
    field: 'pre-press',
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
    id: 'pre-warm-by-thermal-mass',
    field: 'pre-press',
    decide: (input) => {
      const prePressS = Math.round(PRE_WARM_S.least + (PRE_WARM_S.most - PRE_WARM_S.least) * massShare(input));
      return given(isHard(input.fabric) && input.product.timeByMass, () => ({
        set: { prePressS },
        source: 'physics',
        says: phrase`A hard blank is warmed first; for its thickness ${seconds(prePressS)}.`,
      }));
    },
  },
  {
    id: 'peel-by-sheet',
    field: 'peel',
    decide: (_, draft) => {
      const { peel } = pressOf(draft);
      return {
        set: { peel },
        source: SHEET,
        says: peel === 'none' ? phrase`Sheet: laid face up, nothing to peel.` : phrase`Sheet: peel ${peel}.`,
      };
    },
  },
  {
    id: 'peel-chosen',
    field: 'peel',
    decide: ({ print: { choices }, product }) =>
      choices.peel && product.otherPeels.includes(choices.peel)
        ? { set: { peel: choices.peel }, source: 'operator', says: phrase`Chosen for this print, as the sheet allows: ${choices.peel}.` }
        : null,
  },
  {
    id: 'marry-by-sheet',
    field: 'layers',
    decide: (_, draft) => {
      const marry = sheetStage(draft, 'marry');
      return marry
        ? { set: { marry }, source: SHEET, says: phrase`The printed sheet is married to its adhesive sheet first: ${settings(marry)}.` }
        : null;
    },
  },
  {
    id: 'layers-tack-or-full',
    field: 'layers',
    decide: ({ under, house }) => {
      const first = under[0];
      if (!first) return null;
      const full = house.rules.layers === 'full';
      const tack = stageOf(first, 'tack');
      const press = stageOf(first, 'press');
      const tackS = full && press ? nominalOf(press.timeS) : tack ? nominalOf(tack.timeS) : TACK_S;
      return {
        set: { tackS },
        source: HOUSE,
        says: full
          ? phrase`House rule: every layer gets its full press.`
          : phrase`House rule: each lower layer is tacked ${seconds(tackS)}, just enough to leave its carrier; only the last is pressed in full. Films shrink, and more heat shrinks them more.`,
      };
    },
  },
  {
    id: 'layers-emboss-base-released',
    field: 'layers',
    decide: ({ print, under }) => {
      const base = under[0];
      const press = base && stageOf(base, 'press');
      return given(print.embossed && base !== undefined && press !== undefined && base.embossBase, () => ({
        set: { tackS: press ? nominalOf(press.timeS) : TACK_S },
        source: SHEET,
        says: phrase`Embossing: the high-build layer is pressed in full and released first, the film tacked over it, then all is pressed from the back.`,
      }));
    },
  },
  {
    id: 'finish-by-house',
    field: 'finish',
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
    id: 'mask-for-loose-parts',
    field: 'art',
    decide: ({ print, product }) =>
      given(print.looseParts && product.mask, () => ({
        set: { mask: true },
        source: SHEET,
        says: phrase`Several loose parts: a mask carries them over in one piece.`,
      })),
  },
  {
    id: 'rub-while-hot',
    field: 'peel',
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
    id: 'trim-by-sheet',
    field: 'art',
    decide: ({ product }) =>
      given(product.trim !== 'nothing', () => ({
        set: { trim: product.trim },
        source: SHEET,
        says: {
          rim: phrase`The rim of a married sheet is trimmed: its glue line would show as a pale edge.`,
          carrier: phrase`Spare tape is trimmed, so that the carrier lies flat.`,
          'two-up': phrase`Two-up sheets are cut apart.`,
          nothing: phrase``,
        }[product.trim],
      })),
  },
  {
    id: 'trial-on-scrap',
    field: 'time',
    decide: ({ product }, draft) => {
      const { min, max } = pressOf(draft).timeS;
      return given(product.trialFirst, () => ({
        set: { trial: true },
        source: SHEET,
        says: phrase`It rises by its own mind: try from ${seconds(min)} in steps of ${seconds(Math.max(1, Math.round((max - min) / 5)))}, each on a fresh scrap, and keep the best.`,
      }));
    },
  },
  {
    id: 'weight-on-thin-acrylic',
    field: 'peel',
    decide: (input) =>
      given(input.fabric.substrate === 'acrylic' && thicknessOf(input) <= THIN_ACRYLIC_MM, () => ({
        set: { weight: true },
        source: 'blank',
        says: phrase`Acrylic of ${mm(thicknessOf(input))} curls as it cools: it cools under a flat weight.`,
      })),
  },
  {
    id: 'protect-the-first-print',
    field: 'layers',
    decide: ({ item }) => {
      const first = item.before[0];
      return first
        ? {
            set: { protectFirst: true },
            source: HOUSE,
            says: phrase`The ${first.position} is already printed: a slip sheet keeps it off the base while this one is pressed.`,
          }
        : null;
    },
  },
  {
    id: 'heat-from-below',
    field: 'temperature',
    decide: ({ print: { choices }, press }) =>
      given(choices.heat === 'split' && press.lower !== null, () => ({
        set: { split: true },
        source: 'operator',
        says: phrase`Chosen for this print: split heat. The lower platen brings what the glue lacks, the upper one stays cool enough for the bare face.`,
      })),
  },
  {
    id: 'mark-passed-by-design',
    field: 'temperature',
    decide: ({ product, fabric }) =>
      given(product.passesMark && fabric.composition.length > 0, () => ({
        set: { passesMark: true },
        source: SHEET,
        says: phrase`${product.name} is made to go past the mark limit of its fibre: only harm bounds it.`,
      })),
  },
  {
    id: 'bump-on-an-unmeasured-press',
    field: 'temperature',
    decide: ({ press, house }) =>
      given(!pressOffset(press).measured && house.rules.unmeasured === 'bump' && house.figures.bumpK > 0, () => ({
        set: { bumpK: house.figures.bumpK },
        source: HOUSE,
        says: phrase`House rule on an unmeasured press: it is taken to run ${tempDiff(house.figures.bumpK)} cooler than it shows, and set that much higher than reckoned. Measuring it would be surer.`,
      })),
  },
];
