/** The words of the app in plain English, as somebody at the press would explain them. */

interface Word {
  /** As it is written on the screen. */
  word: string;
  means: string;
  /** Other words people look for it by. */
  also?: string;
}

export const WORDS = {
  band: {
    word: 'pressure: light, medium, firm, heavy',
    means:
      'How hard the platen presses, in four steps. A number on one press is another force on the next, so the card says the step, and the reading of your own gauge once it is known what it means.',
    also: 'band force dial',
  },
  base: {
    word: 'base',
    means:
      'What lies under the piece: the bare lower platen, a pad, or a pillow. A tee is pulled over it, so that only one side lies under heat.',
    also: 'thread lower platen',
  },
  batch: {
    word: 'batch',
    means: 'Pieces of several lines or orders pressed in one run, because one setting is right for all of them.',
    also: 'together',
  },
  blank: {
    word: 'blank',
    means: 'What is pressed on, before anything is on it: a tee, a cap, a bag, a coaster.',
    also: 'garment shirt item',
  },
  card: {
    word: 'card',
    means:
      'Everything for one print on one press: what to set, each step in order, where the print goes, and how sure all that is. It is worked out anew whenever something changes; a run keeps the one it began with.',
    also: 'recipe settings',
  },
  carrier: {
    word: 'carrier',
    means: 'The film or paper a transfer lies on. It is peeled off after pressing.',
    also: 'backing liner',
  },
  cover: {
    word: 'cover',
    means:
      'The sheet laid over the print, between it and the hot platen. It takes a little of the heat, and its face leaves the print matte or shiny.',
    also: 'PTFE silicone paper sheet',
  },
  designs: {
    word: 'designs',
    means: 'Several prints on one piece under one closing, such as a chest print and a name.',
  },
  dwell: {
    word: 'time',
    means: 'Seconds the press is shut on the piece. They count from when it is fully shut.',
    also: 'dwell seconds timer',
  },
  dye: {
    word: 'dye',
    means:
      'Colour of the cloth itself. Heat may drive it into a light print, most of all with polyester: white turns pink over red, hours or weeks later.',
    also: 'migration bleed',
  },
  family: {
    word: 'family',
    means: 'Transfers of one kind, which are pressed alike. A family brings general figures; the sheet of your own transfer comes first.',
    also: 'kind of transfer',
  },
  finish: {
    word: 'second press',
    means: 'A short press after the peel, under a cover: it sinks the print into the cloth and sets its face.',
    also: 'finish press',
  },
  house: {
    word: 'house',
    means: 'Your shop: its units, its people, and its own choice where good pressers do things in different ways.',
    also: 'rule settings',
  },
  kit: {
    word: 'kit',
    means: 'Everything that one person of an order gets, pressed and counted together.',
    also: 'team names numbers',
  },
  lamp: {
    word: 'lamp: Clear, Care, Hold',
    means:
      'How sure a card is. Clear: nothing speaks against it. Care: it may go wrong, and here is why. Hold: it would most likely go wrong; do not press so. Round, half round and barred square, so that they are told apart without their colours.',
    also: 'green yellow red warning traffic',
  },
  lay: {
    word: 'lay',
    means:
      'Where the print lies on the platen, and how the piece is turned for it. Collars, seams, zips and buttons are kept off the platen by it.',
    also: 'position platen',
  },
  layback: {
    word: 'lay back',
    means: 'To put the carrier back on a print that has not come off whole, and press it once more.',
    also: 'press again lifted',
  },
  marry: {
    word: 'marry',
    means: 'To press two sheets onto each other before they go on the garment: the printed one and the one with the glue.',
    also: 'two-sheet A B',
  },
  parcel: {
    word: 'parcel',
    means: 'Bought transfers of one design as they came: how many, where they lie, and what is left.',
    also: 'stock delivery',
  },
  peel: {
    word: 'peel: hot, warm, cold',
    means:
      'Pulling the carrier off. Hot: within seconds. Warm: once a bare hand can rest on it. Cold: once it is as cool as the room. The sheet says which; at the wrong one the print lifts.',
    also: 'carrier pull',
  },
  pillow: {
    word: 'pillow, pad',
    means: 'What lets seams, zips and collars sink in, so that the platen still presses on the print itself.',
    also: 'foam',
  },
  platen: {
    word: 'platen',
    means: 'The hot plate of the press.',
    also: 'plate',
  },
  prepress: {
    word: 'pre-press',
    means: 'A few seconds on the bare piece before the transfer is laid on: it drives the damp out and flattens the cloth.',
    also: 'moisture dry wrinkle',
  },
  rail: {
    word: 'rail',
    means: 'The line along the bottom of every page: what your presses do now, every clock that runs, and the undo of what you did last.',
    also: 'bar bottom undo',
  },
  record: {
    word: 'record',
    means: 'What was really done to a piece and how it came out. A reorder starts from it.',
    also: 'log history',
  },
  roster: {
    word: 'roster',
    means: 'Names and numbers of the people of a line, one piece for each.',
    also: 'team list',
  },
  run: {
    word: 'run',
    means: 'Pressing the pieces now, step by step, with the clocks.',
    also: 'pressing',
  },
  sheet: {
    word: 'sheet',
    means: 'The paper a maker gives with a transfer: temperature, time, pressure, peel.',
    also: 'instructions data',
  },
  stack: {
    word: 'stack',
    means: 'Everything between the platens, from the cover at the top to the pad at the bottom. Heat has to come through it to the glue.',
    also: 'layers',
  },
  survey: {
    word: 'survey, quick check',
    means:
      'Measuring what the platen really is at nine places or more, against what the press shows. A quick check is one reading: does the survey still hold?',
    also: 'measure calibrate probe cold spot',
  },
  tack: {
    word: 'tack',
    means: 'A press of a second or two that only holds a layer in its place, before the next is laid on.',
  },
  trial: {
    word: 'trial',
    means: 'Scraps pressed for longer and longer before the first good piece, to find the time that is right today.',
    also: 'test scrap',
  },
  weed: {
    word: 'weed',
    means: 'To pull off the film that is not part of the design.',
    also: 'cut film vinyl',
  },
  window: {
    word: 'window',
    means: 'The temperatures between too little for the glue and too much for the cloth, on your press. The set value lies inside it.',
    also: 'range limits',
  },
} satisfies Record<string, Word>;

export type WordId = keyof typeof WORDS;
export const WORD_IDS = Object.keys(WORDS) as [WordId, ...WordId[]];
/** A word with all that is said of it. */
export const wordOf = (id: WordId): Word => WORDS[id];
