/** How the piece is loaded and its art turned, how hard it is pressed, and on which platen. */
import { byHouse } from '../../house';
import { canBeThreaded, hasPile, isHard, PRESSURE_BANDS, type PressureBand } from '../../materials';
import { mm, phrase } from '../../units';
import { type Arranged, pressOf, type Sheeted } from '../draft';
import { ownBand } from '../houseSettings';
import type { PreparedInput } from '../input';
import { mirrorOf } from '../mirror';
import { type Decision, HOUSE, SHEET, when } from './decision';

const up = (band: PressureBand): PressureBand =>
  PRESSURE_BANDS[Math.min(PRESSURE_BANDS.length - 1, PRESSURE_BANDS.indexOf(band) + 1)] ?? band;

/** How hard a cloth is pressed where a sheet asks for a band: one firmer on slub and pile. */
export const bandOnCloth = (fabric: PreparedInput['fabric'], band: PressureBand): PressureBand =>
  (fabric.texture === 'slubby' || hasPile(fabric)) && (band === 'light' || band === 'medium') ? up(band) : band;

/** What is open at an end is loaded as the house does it; caps, flat and hard pieces only one way. */
const isLoadedByHouse = ({ fabric, blank }: Pick<PreparedInput, 'fabric' | 'blank'>): boolean =>
  !isHard(fabric) && canBeThreaded(blank.kind);

export const LAYING: readonly Decision<Sheeted, Arranged>[] = [
  {
    id: 'platen-swapped',
    field: 'base',
    rank: 'operator',
    decide: ({ press, print: { choices } }) => {
      const platen = press.swapPlatens.find((platen) => platen.id === choices.platenId);
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
    id: 'pressure-firmer-on-slub',
    field: 'pressure',
    rank: 'piece',
    decide: ({ fabric }, known) => {
      const { band } = pressOf(known).pressure;
      return when(fabric.texture === 'slubby' && (band === 'light' || band === 'medium'), () => ({
        set: { band: up(band) },
        source: 'fabric',
        says: phrase`${fabric.name} has thick and thin threads: one band firmer, so that the glue reaches between its threads.`,
      }));
    },
  },
  {
    id: 'pressure-firmer-on-pile',
    field: 'pressure',
    rank: 'piece',
    decide: ({ fabric }, known) => {
      const { band } = pressOf(known).pressure;
      return when(hasPile(fabric) && (band === 'light' || band === 'medium'), () => ({
        set: { band: up(band) },
        source: 'fabric',
        says: phrase`${fabric.name} has a pile: one band firmer, so that it lies down under the glue.`,
      }));
    },
  },
  {
    id: 'pressure-chosen',
    field: 'pressure',
    rank: 'operator',
    decide: (input) => {
      const own = ownBand(input, 'press');
      return own && { set: { band: own.value }, source: own.source, says: phrase`${own.whose}: pressed ${own.value}.` };
    },
  },
  {
    id: 'mirror-by-facing-and-side',
    field: 'mirror',
    rank: 'usual',
    decide: ({ product, blank }) => {
      const mirror = mirrorOf(product, blank);
      const side = blank.lookedAt === 'through the blank' ? 'through the blank' : 'from the side it is pressed on';
      return {
        set: { mirror },
        source: SHEET,
        says: {
          'by the supplier': phrase`Bought ready: the supplier has printed it the way it must lie.`,
          'by the printer path': phrase`The printer turns it on its way through: send it as its sheet says, and check one R before the stack.`,
          mirrored: phrase`Laid ${product.facing} and looked at ${side}: the art is mirrored.`,
          'as read': phrase`Laid ${product.facing} and looked at ${side}: the art is not mirrored.`,
        }[mirror],
      };
    },
  },
  {
    id: 'loading-by-house',
    field: 'loading',
    rank: 'usual',
    decide: ({ fabric, house, blank }) =>
      when(isLoadedByHouse({ fabric, blank }), () => ({
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
    id: 'loading-too-narrow-to-thread',
    field: 'loading',
    rank: 'piece',
    decide: (input) => {
      const { pose, item, press, house, print } = input;
      const platen = press.swapPlatens.find((platen) => platen.id === print.choices.platenId);
      return when(
        isLoadedByHouse(input) && byHouse(house, 'loading', { threaded: true, flat: false, turned: false }) && pose.tooWideToThread,
        () => ({
          set: { loading: 'flat' },
          source: 'blank',
          says: phrase`The base of ${press.name} under ${platen ? `its ${platen.name}` : 'its platen'} cannot be threaded into a ${item.size} so that the art lies on it: laid flat, with both layers under the heat.`,
        }),
      );
    },
  },
  {
    id: 'loading-neck-label',
    field: 'loading',
    rank: 'particular',
    decide: ({ print }) =>
      when(print.position === 'neck label', () => ({
        set: { loading: 'inside out' },
        source: 'blank',
        says: phrase`A neck label sits inside: the garment is turned inside out and threaded on a corner of the platen.`,
      })),
  },
];
