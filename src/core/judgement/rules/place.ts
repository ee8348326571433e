/** Rules of place: whether the art may go there, and whether the piece can be laid so that it is pressed there. */

import { type Draft, obstructionsUnder, PILLOW_SINKS_MM, type PreparedInput } from '../../draft';
import type { PlaceFinding } from '../../placement';
import { mm, type Phrase, phrase } from '../../units';
import { type Rule, when } from './rule';

/** `the zip`, `the zip and seam`, `the zip, seam and collar`, with the verb that goes with as many. */
function inTheWay(input: PreparedInput): { things: string; come: string; hold: string } {
  const kinds = obstructionsUnder(input).map((inTheWay) => inTheWay.kind);
  const many = kinds.length > 1;
  const things = many ? `${kinds.slice(0, -1).join(', ')} and ${kinds.at(-1) ?? ''}` : (kinds[0] ?? '');
  return { things, come: many ? 'come' : 'comes', hold: many ? 'hold' : 'holds' };
}

/** Whether what stands in the pressed area is out of the way as the draft has it. */
function settled({ pose }: PreparedInput, { base, raised }: Draft): boolean {
  if (!pose || pose.inTheWay.length === 0) return true;
  const loose = pose.plain.feasible;
  if (base === 'pillow')
    return loose ? pose.inTheWay.every((inTheWay) => inTheWay.heightMm <= PILLOW_SINKS_MM) : pose.pillow?.feasible === true;
  return raised && (loose || pose.pad?.feasible === true);
}

/** What of a kind speaks against the place. */
const found = ({ pose }: PreparedInput, level: PlaceFinding['level']): PlaceFinding | undefined =>
  pose.placement?.findings.find((finding) => finding.level === level);

function placeWords({ print, blank }: PreparedInput, { fault, about, mm: figure }: PlaceFinding): Phrase {
  switch (fault) {
    case 'off the blank':
      return phrase`${print.artName} does not lie whole on the ${blank.kind} there: make it smaller or move it.`;
    case 'too near the edge':
      return phrase`${print.artName} comes nearer than ${mm(figure)} to the edge of the ${blank.kind}.`;
    case 'too wide':
      return phrase`A ${print.position} is at most ${mm(figure)} wide by rule.`;
    case 'too tall':
      return phrase`A ${print.position} is at most ${mm(figure)} high here.`;
    case 'too little bleed':
      return phrase`${print.artName} covers the ${blank.kind} but runs less than ${{ q: 'length', v: figure, d: 1 }} over its edge: a pale rim may show.`;
    case 'outside its share':
      return phrase`By the chest it would be ${about === 'wider' ? 'at most' : 'at least'} ${mm(figure)} wide.`;
    case 'on a seam':
      return phrase`The art would lie on a seam: it breaks along it. Move it, or use a transfer that bridges seams, on a pillow.`;
    case 'on what takes no print':
      return phrase`The art would lie on the ${about}${figure > 0 ? phrase` (stay ${{ q: 'length', v: figure, d: 2 }} inside)` : ''}: it takes no print. Move the art or make it smaller.`;
  }
}

export const PLACE_RULES: readonly Rule[] = [
  {
    id: 'no-such-place',
    field: 'art',
    level: 'hold',
    evaluate: ({ pose }) => when(pose.fault?.level === 'hold', () => phrase`${pose.fault?.says ?? ''}`),
  },
  {
    id: 'size-not-graded',
    field: 'art',
    level: 'care',
    evaluate: ({ pose, blank, item }) =>
      when(pose.fault?.level === 'care' && blank.sizes.includes(item.size), () => phrase`${pose.fault?.says ?? ''}`),
  },
  {
    id: 'place-takes-no-print',
    field: 'art',
    level: 'hold',
    evaluate: (input) => {
      const finding = found(input, 'hold');
      return finding ? placeWords(input, finding) : null;
    },
  },
  {
    id: 'place-near-its-limit',
    field: 'art',
    level: 'care',
    evaluate: (input) => {
      const finding = found(input, 'care');
      return finding ? placeWords(input, finding) : null;
    },
  },
  {
    id: 'held-off-by-something-raised',
    field: 'base',
    level: 'hold',
    evaluate: (input, draft) => {
      const { pose, press } = input;
      const { things, come, hold } = inTheWay(input);
      const platen = draft.platen.name ? `the ${draft.platen.name}` : `the platen of ${press.name}`;
      return when(!settled(input, draft) && pose.plain.feasible !== undefined, () =>
        pose && !pose.plain.feasible && pose.plain.art === 'on something raised'
          ? phrase`The art lies on the ${things} itself: the platen would stand on it. Move the art.`
          : draft.base === 'pillow'
            ? phrase`The ${things} is too high to sink into a pillow: the platen stands on it. Use a smaller platen or raise the print.`
            : pose.chosen
              ? phrase`Laid there, the ${things} ${come} under ${platen} and ${hold} it off the print.`
              : phrase`However it is laid, the ${things} ${come} under ${platen} and ${hold} it off the print, and cannot hang off. ${pose.smaller ? `The ${pose.smaller.name} leaves it free.` : 'Sink it in a pillow, raise the print on a pad cut to it, or move the art.'}`,
      );
    },
  },
];
