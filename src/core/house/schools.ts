/**
 * Schools: the questions practice answers differently. One table holds all of each: its answers with what each changes on a
 * card, where a new shop starts, and a piece it matters on; the house's document, its screen and its examples are made from it.
 */
import { z } from 'zod';
import type { Position } from '../materials';
import type { Press } from '../press';
import type { FamilyId } from '../sheet';

/** A piece on which the answers of a school come out differently: a built-in blank, a family, and what is particular about it. */
export interface ExamplePiece {
  blankId: string;
  family: FamilyId;
  under?: FamilyId;
  press?: Partial<Press>;
  print?: { position?: Position; widthMm?: number; heightMm?: number; heat?: 'split' };
  zip?: boolean;
}

interface SchoolRow {
  question: string;
  /** The answer a new shop starts with, and an old document that never heard of the question. */
  starts: string;
  answers: Record<string, { text: string; changes: string }>;
  example: ExamplePiece;
}

const TABLE = {
  coverWhenAllowed: {
    question: 'Cover sheet where the sheet leaves it open',
    starts: 'never',
    answers: {
      always: {
        text: 'always',
        changes: 'Platen and print stay clean; the bare face runs a little cooler, so the mark limit leaves more room.',
      },
      never: { text: 'never', changes: 'No heat is lost in a cover; the bare face runs hotter.' },
    },
    example: { blankId: 'three-fibre-tee', family: 'cut-film' },
  },
  secondPress: {
    question: 'Second press after the peel',
    starts: 'when an edge looks proud',
    answers: {
      always: {
        text: 'always, short',
        changes:
          'One more closing a piece under paper, as long as you type above, and one more that the bare face must bear. Never on what it flattens.',
      },
      'when an edge looks proud': { text: 'only when an edge stands up', changes: 'A step says when; no time is planned for it.' },
    },
    example: { blankId: 'cotton-tee', family: 'cut-film' },
  },
  obstruction: {
    question: 'Something stands up under the print',
    starts: 'pillow',
    answers: {
      pillow: {
        text: 'a soft pillow sinks it',
        changes: 'A pillow goes under the print; where the sheet wants a firm base, the print is raised instead.',
      },
      raise: { text: 'raise the print on a firm pad', changes: 'A firm pad lifts the print over it; screen-printed transfers want this.' },
      'hang off': {
        text: 'hang it off the edge',
        changes: 'Nothing is laid under; the card says Care until you have seen that the art still lies on the platen.',
      },
    },
    example: { blankId: 'cotton-tee', family: 'cut-film', zip: true, print: { position: 'left chest', widthMm: 90, heightMm: 90 } },
  },
  loading: {
    question: 'Loading a garment',
    starts: 'threaded',
    answers: {
      threaded: { text: 'threaded over the base', changes: 'One layer under the heat.' },
      flat: { text: 'laid flat', changes: 'The back lies under the heat too, and a lining with it.' },
      turned: { text: 'turned round', changes: 'Hands stay away from the heat; the back lies under it.' },
    },
    example: { blankId: 'cotton-tee', family: 'cut-film' },
  },
  prePress: {
    question: 'Pre-press',
    starts: 'seconds',
    answers: {
      seconds: {
        text: 'our own seconds',
        changes: 'As many seconds before every print as you type above; a longer one brings the bare face nearer its limit on hot cards.',
      },
      computed: {
        text: 'as long as the damp needs',
        changes: 'Worked out from the cloth’s weight and fibre and the humidity of the room, 3 to 30 s.',
      },
    },
    example: { blankId: 'fleece-hoodie', family: 'cut-film' },
  },
  centre: {
    question: 'Finding the middle',
    starts: 'ruler',
    answers: {
      crease: { text: 'fold and crease', changes: 'A step folds the garment first.' },
      ruler: { text: 'ruler or printed guide', changes: 'A step measures.' },
      eye: { text: 'by eye', changes: 'A step says to look twice.' },
    },
    example: { blankId: 'cotton-tee', family: 'cut-film' },
  },
  drop: {
    question: 'Drop from the collar',
    starts: 'ruler',
    answers: {
      ruler: { text: 'ruler', changes: 'The distance in your units.' },
      fingers: { text: 'finger-widths', changes: 'The distance in the widths of your own fingers, with the ruler’s beside.' },
      'tall art': {
        text: 'tall art nearer the collar',
        changes: 'Art that fills more than three quarters of a front sits closer to the collar.',
      },
    },
    example: { blankId: 'cotton-tee', family: 'cut-film', print: { heightMm: 430 } },
  },
  unmeasured: {
    question: 'Temperature on a press nobody measured',
    starts: 'widen',
    answers: {
      widen: { text: 'count it ±14 K and say Care', changes: 'Set as reckoned; the band is wide and the lamp is never Clear.' },
      bump: { text: 'add a fixed bump', changes: 'Set higher by your bump; the band is as wide and the lamp is never Clear.' },
    },
    example: { blankId: 'cotton-tee', family: 'opaque-inkjet-paper', press: { calibration: null } },
  },
  layers: {
    question: 'Layers',
    starts: 'tack',
    answers: {
      tack: { text: 'tack all, full press last', changes: 'Lower layers get a few seconds each: they shrink less.' },
      full: { text: 'full press each', changes: 'Every layer is pressed in full: slower, and the lower ones shrink more.' },
    },
    example: { blankId: 'cotton-tee', family: 'cut-film', under: 'cut-film' },
  },
  batch: {
    question: 'Working a batch',
    starts: 'piece',
    answers: {
      piece: { text: 'piece by piece', changes: 'Each piece is done before the next.' },
      step: { text: 'step by step', changes: 'All marries, then all presses, then all peels.' },
    },
    example: { blankId: 'cotton-tee', family: 'two-sheet-toner' },
  },
  felt: {
    question: 'Felt under hard blanks',
    starts: 'protect',
    answers: {
      protect: { text: 'yes, it spares the rubber', changes: 'Felt goes under a hard blank where the sheet asks for no pad.' },
      'leave out': { text: 'no, it eats pressure', changes: 'The blank lies on the base pad itself.' },
    },
    example: { blankId: 'wooden-tag', family: 'cut-film' },
  },
  insideMark: {
    question: 'A mark on the inside, after split heat',
    starts: 'care',
    answers: {
      care: { text: 'say Care', changes: 'The card warns when the inside may shine.' },
      accept: { text: 'accept it', changes: 'Nobody sees the inside: only harm counts there.' },
    },
    example: { blankId: 'three-fibre-tee', family: 'cut-film', print: { heat: 'split' } },
  },
  coolsOn: {
    question: 'Where a piece cools before its peel',
    starts: 'table',
    answers: {
      table: { text: 'on a table', changes: 'Warm soonest: the table takes the first heat at once.' },
      air: { text: 'hung up, in the air', changes: 'Warm two or three times as late as on a table; cold hardly later.' },
      rack: { text: 'on a rack with others', changes: 'Little air comes to the underside: warm and cold take the longest.' },
      base: {
        text: 'left on the base',
        changes:
          'Nothing is carried, but the base keeps it warm for a minute and more, and the press waits. A cold peel is laid on a table all the same.',
      },
    },
    example: { blankId: 'cotton-tee', family: 'textured-film' },
  },
} as const satisfies Record<string, SchoolRow>;

type Table = typeof TABLE;
export type SchoolId = keyof Table;
/** The house's answer to every question. */
export type HouseRules = { [K in SchoolId]: keyof Table[K]['answers'] & string };

/**
 * What follows from the house's answer to a question. Every answer has to say, so that a new one fails to compile until it is
 * answered wherever the question counts.
 */
export const byHouse = <K extends SchoolId, const F extends Record<HouseRules[K], unknown>>(
  { rules }: { rules: HouseRules },
  question: K,
  follows: F,
): F[HouseRules[K]] => follows[rules[question]];

export interface School<K extends SchoolId = SchoolId> {
  rule: K;
  question: string;
  answers: readonly { value: HouseRules[K]; text: string; changes: string }[];
  example: ExamplePiece;
}

const ROWS = Object.entries(TABLE) as [SchoolId, SchoolRow][];

export const SCHOOLS: readonly School[] = ROWS.map(([rule, { question, answers, example }]) => ({
  rule,
  question,
  answers: Object.entries(answers).map(([value, words]) => ({ value: value as HouseRules[SchoolId], ...words })),
  example,
}));

export const STARTING_RULES = Object.fromEntries(ROWS.map(([rule, { starts }]) => [rule, starts])) as HouseRules;

type Shape = { [K in SchoolId]: z.ZodDefault<z.ZodEnum<{ [V in HouseRules[K]]: V }>> };
export const HouseRulesSchema = z.object(
  Object.fromEntries(ROWS.map(([rule, { starts, answers }]) => [rule, z.enum(Object.keys(answers)).default(starts)])) as unknown as Shape,
);
