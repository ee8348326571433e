/** Before anything is pressed: the piece and its laws, and the press set. */

import { touchingArea } from '../../draft';
import { type Blank, type Fabric, isBrittle, isHard, readSize } from '../../materials';
import { BAND_KPA, bandOf, CRUSH_KPA, contactIfUnchanged, type Press, type PressureSetting, pressOffset, timeBetween } from '../../press';
import { contact, type Phrase, phrase, seconds, setTemp, temp } from '../../units';
import { BURNS, needs, type StepRule } from './step';
import { pressureWords } from './words';

/** What a dial shows with nothing in the press, where the shop has found out what a garment adds. */
function emptyWords({ garmentShift }: Pick<Press, 'garmentShift'>, setting: PressureSetting): Phrase {
  if (setting.gauge !== 'dial' || !garmentShift) return phrase``;
  return phrase` Closed empty, the dial then shows about ${Math.max(0, setting.reading - garmentShift).toFixed(1)}.`;
}

/** Which face the print goes on. */
function faceWords({ printable, lookedAt }: Pick<Blank, 'printable' | 'lookedAt'>, fabric: Fabric): string {
  if (lookedAt === 'through the blank') return 'The print goes on its back: it is looked at through the piece.';
  return printable === 'outside' ? cleanWords(fabric) : `The print goes on ${printable}. ${cleanWords(fabric)}`.trim();
}

/** How its face is made clean; what breaks has a step of its own for it. */
function cleanWords(fabric: Fabric): string {
  if (fabric.leather) return fabric.leather.undyed ? 'Brush the dust off, dry.' : 'Wipe the dust off and let it dry.';
  if (fabric.substrate === 'leather-look') return 'Wipe the dust off and let it dry.';
  if (isHard(fabric)) return isBrittle(fabric) ? '' : 'Wipe the dust off.';
  return 'Roll the lint off.';
}

export const PRESS_STEPS: readonly StepRule[] = [
  {
    id: 'check-the-piece',
    says: ({ input: { blank, item, fabric } }) =>
      phrase`Check the piece: ${blank.name}, ${blank.colour}, ${item.size}. ${faceWords(blank, fabric)}`,
  },
  {
    id: 'check-the-parcel',
    says: ({ input: { product } }) =>
      needs(
        product.mirroring === 'by the supplier',
        phrase`Check the parcel against the order: art, size, count, colour. Try anything doubtful on scrap.`,
      ),
  },
  {
    id: 'follow-the-roster',
    says: ({ input: { item } }) => {
      const [first] = item.roster;
      return first
        ? phrase`${String(item.roster.length)} pieces, each its own: lay the sheets out in the roster’s order, ${[first.number, first.name].filter(Boolean).join(' ')} first.`
        : null;
    },
  },
  {
    id: 'law-for-children',
    says: ({ input: { blank, item } }) =>
      needs(
        blank.notices.includes('for children') || readSize(item.size)?.group === 'child',
        phrase`Made for children: laws of their own apply to trims and labels. Look them up where you sell; this card does not decide it.`,
      ),
  },
  {
    id: 'law-for-neck-labels',
    says: ({ input: { print } }) =>
      needs(
        print.position === 'neck label',
        phrase`A neck label has its own legal contents (fibres, care, maker) where you sell. Look them up; this card does not decide it.`,
      ),
  },
  {
    id: 'law-for-food',
    says: ({ input: { blank } }) =>
      needs(
        blank.notices.includes('food or drink'),
        phrase`Food or drink may touch it: rules of their own apply. Keep the print off that side, and ask the transfer’s maker.`,
      ),
  },
  {
    id: 'set-the-press',
    says: ({ input: { press, house }, draft, set, values }) => {
      const offset = pressOffset(press);
      const { midC } = bandOf(offset, set.tempC);
      const reads = offset.measured && Math.abs(midC - set.tempC) >= 0.5 ? phrase` Its surface then reads ${temp(midC)}.` : phrase``;
      const warmUpS = press.heater ? timeBetween(press.heater, house.room.tempC, set.tempC, house.room.tempC) : Number.POSITIVE_INFINITY;
      const ready = Number.isFinite(warmUpS)
        ? phrase` From cold it is ready in about ${String(Math.max(1, Math.round(warmUpS / 60)))} min.`
        : phrase``;
      const upper = draft.split ? 'the upper platen of ' : '';
      const { unit } = press.set;
      // sheets are married first, at a heat of their own
      if (draft.marry && values.marry !== set.tempC)
        return phrase`Set ${press.name} to ${setTemp(values.marry, unit)} for the marrying and let it settle.${ready} It is turned to ${setTemp(set.tempC, unit)} once the sheets are married.${reads}`;
      return phrase`Set ${upper}${press.name} to ${setTemp(set.tempC, unit)} and let it settle.${reads}${ready}`;
    },
    safety: () => BURNS,
  },
  {
    id: 'set-the-lower-platen',
    says: ({ input: { press }, set }) =>
      set.lowerC === null
        ? null
        : phrase`Set the lower platen to ${setTemp(set.lowerC, press.set.unit)}, with no pad on it. Any mark will be inside.`,
    safety: () => BURNS,
  },
  {
    id: 'set-the-pressure',
    safety: ({ input, draft, set }) => {
      const contactKPa = contactIfUnchanged(input.press, set.pressure.band, touchingArea(input, draft));
      return needs(
        isBrittle(input.fabric) && contactKPa > CRUSH_KPA,
        phrase`Turn the pressure down before this closing: at what presses a garment ${set.pressure.band}, so small a face would take ${contact(contactKPa)} and break.`,
      );
    },
    says: ({ input: { press }, set }) => {
      const kpa = BAND_KPA[set.pressure.band];
      return phrase`Set the pressure: ${pressureWords(press.name, set.pressure)}. That is ${contact(kpa.low)} to ${contact(kpa.high)} where it touches; read it during the pre-press, with the piece on.${emptyWords(press, set.pressure.setting)}`;
    },
  },
  {
    id: 'set-the-timers',
    says: ({ input: { press }, draft }) => {
      const second = draft.finish?.sheet?.timer === 2 && press.timers === 2;
      return needs(second, phrase`Timer 1: ${seconds(draft.timeS)}. Timer 2: ${seconds(draft.finish?.timeS ?? 0)}.`);
    },
  },
  {
    id: 'put-the-platen-in',
    says: ({ draft }) => (draft.platen.name === null ? null : phrase`Put the ${draft.platen.name} in.`),
    safety: () => phrase`Change a platen cold, by the press maker’s instructions.`,
  },
];
