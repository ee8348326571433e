/** The hands' steps of a card in order, each with the safety line that belongs to it. */
import type { Position } from '../materials';
import { BAND_KPA, pressOffset } from '../press';
import { contact, line, mm, type Phrase, phrase, seconds, setTemp, temp, tempDiff } from '../units';
import type { ResolveInput } from './input';
import type { Card, Step } from './schema';
import type { Decisions } from './stages';

/** Where the top edge of the art goes, adult sizes. */
const WHERE: Record<Position, Phrase> = {
  'full front': phrase`centred, top of the art ${mm(50)} to ${mm(80)} below the collar seam`,
  'left chest': phrase`art centre ${mm(95)} to ${mm(115)} to the wearer’s left of the centre line, ${mm(175)} to ${mm(200)} below the point where shoulder meets neck`,
  'upper back': phrase`centred, top of the art ${mm(90)} to ${mm(120)} below the back collar seam`,
  'full back': phrase`centred, top of the art ${mm(90)} to ${mm(120)} below the back collar seam`,
};

const PEEL_WORDS = {
  hot: phrase`Peel at once, within ${seconds(3)} of opening, while it is hot`,
  warm: phrase`Take it off the press and wait until it is warm but bearable to touch, about ${seconds(30)}, then peel`,
  cold: phrase`Take it off the press, lay it flat and wait until no warmth is left, then peel`,
} as const;

const BURNS = phrase`Platen, base and fresh carriers are at cooking temperature: wear gloves or finger guards.`;
const PINCH = phrase`Keep both hands clear as it closes, and never leave a closed hot press alone.`;
const STEAM = phrase`Steam may come out as it opens: stand back from the gap.`;
const SMOKE = phrase`Smoke, a sharp smell or sticky melt: open, switch off, ventilate.`;

/** Pressure in the press's own terms, with how sure it is. */
export function pressureWords(pressName: string, pressure: Card['set']['pressure']): Phrase {
  const { setting, band } = pressure;
  const doubt = setting.sure === 'measured' ? '' : setting.sure === 'guess' ? ' (a guess)' : ' (beyond what was measured)';
  switch (setting.gauge) {
    case 'dial':
      return phrase`${band}, dial ${setting.reading.toFixed(1)}${doubt}`;
    case 'air':
      return phrase`${band}, ${line(setting.lineKPa)} in the line of ${pressName}${doubt}`;
    case 'feel':
      return phrase`${band}, by feel${doubt}`;
  }
}

function mirrorWords(mirror: Card['set']['mirror']): Phrase {
  switch (mirror) {
    case 'mirrored':
      return phrase`An R on the sheet must read backwards: the transfer is laid face down.`;
    case 'as read':
      return phrase`An R on the sheet must read as in a book: the transfer is laid face up.`;
    case 'by the supplier':
      return phrase`The supplier has printed it the way it must lie: check one sheet by its lettering.`;
  }
}

/** Everything the hands do, in order. */
export function stepsOf(input: ResolveInput, d: Decisions, set: Card['set']): Step[] {
  const { product, blank, item, print, press, house } = input;
  const { offsetK, measured } = pressOffset(press);
  const reads = measured && Math.abs(offsetK) >= 0.5 ? phrase` Its surface then reads ${temp(d.setC + offsetK)}.` : phrase``;
  const kpa = BAND_KPA[set.pressure.band];
  const steps: Step[] = [
    { says: phrase`Check the piece: ${blank.name}, ${blank.colour}, ${item.size}. Roll the lint off.` },
    { says: phrase`Set ${press.name} to ${setTemp(d.setC, press.set.unit)} and let it settle.${reads}`, safety: BURNS },
    {
      says: phrase`Set the pressure: ${pressureWords(press.name, set.pressure)}. That is ${contact(kpa.low)} to ${contact(kpa.high)} where it touches; read it during the pre-press, with the garment on.`,
    },
    {
      says:
        product.base === 'firm'
          ? phrase`Firm base: no pillow under the print.`
          : phrase`Usual base pad. Keep collar, seams and pockets off the pressed area.`,
    },
    {
      says:
        house.rules.loading === 'threaded'
          ? phrase`Thread the ${blank.kind} over the base, so one layer lies under the heat.`
          : phrase`Lay the ${blank.kind} flat on the base, both layers smooth.`,
    },
    {
      says: phrase`Pre-press ${seconds(d.prePressS)} with nothing on it, to drive out damp and creases.`,
      safety: phrase`${PINCH} ${STEAM}`,
    },
    { says: phrase`Place ${print.artName}: ${WHERE[print.position]}. ${mirrorWords(set.mirror)}` },
  ];
  if (set.cover) steps.push({ says: phrase`Lay the cover sheet over it.` });
  steps.push(
    { says: phrase`Close, ${seconds(d.timeS)}, open.`, safety: phrase`${PINCH} ${SMOKE}` },
    {
      says: phrase`${PEEL_WORDS[product.peel]}: low, steady, one way, along the rib. If it lifts, lay it back and press again.`,
      safety: BURNS,
    },
  );
  if (d.finishS !== null) steps.push({ says: phrase`Press again ${seconds(d.finishS)} under plain paper.`, safety: PINCH });
  else steps.push({ says: phrase`Only if an edge looks proud: press again ${seconds(5)} under plain paper.` });
  steps.push({ says: phrase`Look it over: edges down, no shine beside the art, straight, the right way round.` });
  if (offsetK !== 0 && measured)
    steps.push({
      says: phrase`The readout of this press is ${tempDiff(Math.abs(offsetK))} ${offsetK > 0 ? 'under' : 'over'} its surface. Do not chase it.`,
    });
  return steps;
}
