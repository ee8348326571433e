/** What each page is for, in three lines, its keys, and the words it uses. */
import type { WordId } from '../../core/words';

export interface PageHelp {
  title: string;
  lines: readonly string[];
  keys?: readonly (readonly [key: string, does: string])[];
  words: readonly WordId[];
}

const PAGES: readonly (readonly [path: RegExp, help: PageHelp])[] = [
  [
    /^\/$/,
    {
      title: 'Bench',
      lines: [
        'Every order that is not finished, the one that is due first on top.',
        'The button of an order is its next step. The lamp tells how sure its settings are.',
        'End of the day: what is left over, and which presses to switch off.',
      ],
      keys: [
        ['↓ ↑', 'from order to order'],
        ['Enter', 'do its next step'],
      ],
      words: ['lamp', 'rail', 'run'],
    },
  ],
  [
    /^\/first-hour/,
    {
      title: 'First hour',
      lines: [
        'From an empty shop to the first piece, a step at a time.',
        'Every step may be left out, and taken up again from the list.',
        'The rail leads back here from every page until the first piece is recorded.',
      ],
      words: ['survey', 'sheet', 'card', 'rail'],
    },
  ],
  [
    /^\/orders$/,
    {
      title: 'Orders',
      lines: [
        'Begin an order: a name you will find it by, and the day it is wanted.',
        'Then say line by line what is pressed on what.',
        'Delete takes an order off the bench. Its pieces stay in the log, and Undo brings it back.',
      ],
      keys: [['Enter', 'start the order']],
      words: ['roster', 'kit'],
    },
  ],
  [
    /^\/orders\/[^/]+$/,
    {
      title: 'Lines of an order',
      lines: [
        'A line is pieces that are alike: one blank, one size, one or more prints.',
        'Below the fields stand the settings as they would be. They change as you type.',
        'Names and numbers can be pasted from a list.',
      ],
      keys: [['Enter', 'save the line and open its card']],
      words: ['blank', 'family', 'roster', 'designs', 'kit'],
    },
  ],
  [
    /^\/orders\/[^/]+\/card/,
    {
      title: 'Card',
      lines: [
        'What to set on this press for this print, and every step in order.',
        'Touch a figure to read why it is so. Where the lamp says Care or Hold, the reasons and the ways out stand beside it.',
        'Another press, cover, base or way of the house: choose it, and the card follows.',
      ],
      words: ['card', 'lamp', 'window', 'band', 'peel', 'cover', 'prepress'],
    },
  ],
  [
    /^\/orders\/[^/]+\/place/,
    {
      title: 'Place',
      lines: [
        'Where the print goes on the piece, with what to measure from.',
        'Drag the print, or move it by the arrow keys; the measures follow.',
        'The lower drawing is the piece on the platen: nothing raised may lie under it.',
      ],
      keys: [
        ['← → ↑ ↓', 'move the print that is chosen'],
        ['Shift + arrow', 'move it ten times as far'],
      ],
      words: ['lay', 'platen', 'pillow', 'base'],
    },
  ],
  [
    /^\/orders\/[^/]+\/run/,
    {
      title: 'Run',
      lines: [
        'One thing at a time, in large letters. Space says that it is done.',
        'Clocks run by themselves. Whatever page is open, the screen says when the press has to be opened.',
        'Each piece is kept, laid back or spoiled at its end. That is its record.',
      ],
      keys: [
        ['Space', 'what the large words ask'],
        ['K', 'the other keys, and changing them'],
      ],
      words: ['peel', 'layback', 'marry', 'finish', 'trial', 'batch'],
    },
  ],
  [
    /^\/orders\/[^/]+\/record/,
    {
      title: 'Record of an order',
      lines: [
        'How far every line is, and every piece as it came out.',
        'By person: who misses something, and a button that presses it.',
        'Export gives all of it as CSV.',
      ],
      words: ['record', 'kit'],
    },
  ],
  [
    /^\/presses\/[^/]+\/survey/,
    {
      title: 'Survey',
      lines: [
        'Let the press settle, then measure place after place. The drawing shows which comes next.',
        'An odd reading is asked about at once.',
        'From then on every card knows how hot the platen is under the print, and how sure that is.',
      ],
      keys: [['Enter', 'keep the reading, on to the next place']],
      words: ['survey', 'platen'],
    },
  ],
  [
    /^\/presses/,
    {
      title: 'Presses',
      lines: [
        'Each press as it really is: its heat over the platen, its pressure, how long it takes to warm up.',
        'A press that was never measured makes every card say Care.',
        'A quick check takes a minute and tells whether the last survey still holds.',
      ],
      words: ['survey', 'platen', 'band'],
    },
  ],
  [
    /^\/shelf\/which/,
    {
      title: 'Which transfer for this?',
      lines: [
        'Say what it goes on and what the picture is like.',
        'Every transfer of the shelf is judged for it, the surest first.',
        'Those that would go wrong stand last, with why.',
      ],
      words: ['lamp', 'family'],
    },
  ],
  [
    /^\/shelf\/matrix/,
    {
      title: 'Transfers on fabrics',
      lines: [
        'Every transfer on every fabric: what to set, and its lamp.',
        'Touch a field to read why.',
        'On paper it hangs beside the press.',
      ],
      words: ['lamp', 'window'],
    },
  ],
  [
    /^\/shelf/,
    {
      title: 'Shelf',
      lines: [
        'What you press with and on: transfers, fabrics, blanks, covers and pads, tested settings, parcels.',
        'Bars show which temperatures a transfer wants; walls show where a fabric marks and where it is harmed.',
        'What you stop using stays in old records.',
      ],
      words: ['family', 'sheet', 'window', 'dye', 'parcel', 'cover'],
    },
  ],
  [
    /^\/heat-bench/,
    {
      title: 'Heat bench',
      lines: [
        'Try a pressing before a piece is spoiled: what the glue, the cloth and the print come to.',
        'Put two ways side by side, or sweep one figure over a range.',
        'Practice asks you to find a good setting, and scores it.',
      ],
      keys: [
        ['Alt + ↑ ↓', 'move a layer of the stack'],
        ['Delete', 'take a layer out'],
      ],
      words: ['stack', 'cover', 'window', 'dye'],
    },
  ],
  [
    /^\/log/,
    {
      title: 'Log',
      lines: [
        'Every piece that was pressed, newest first, found by any word of it.',
        'A record has the card as it was, what was really done, and how it came out.',
        'Reorder starts from a record, and says what has changed since.',
      ],
      words: ['record', 'trial'],
    },
  ],
  [
    /^\/house/,
    {
      title: 'House',
      lines: [
        'Units, people, and the choices of your shop. A sheet’s own word always comes before them.',
        'The example on the right shows what a choice changes.',
        'Make a backup here, and put one back.',
      ],
      words: ['house', 'finish', 'prepress', 'cover'],
    },
  ],
  [
    /^\/day-end/,
    {
      title: 'End of the day',
      lines: ['Pieces that are still at a press, and presses that were hot today.', 'Whether a backup is due.', 'What is due tomorrow.'],
      words: ['run', 'rail'],
    },
  ],
];

const ELSEWHERE: PageHelp = {
  title: 'Tidy Beacon',
  lines: ['The sections are at the top, or at the foot on a phone.', 'Find leads to everything by a few letters.'],
  words: ['card', 'lamp', 'rail'],
};

export const helpOf = (path: string): PageHelp => PAGES.find(([pattern]) => pattern.test(path))?.[1] ?? ELSEWHERE;

/** Keys that work on every page. */
export const EVERYWHERE: NonNullable<PageHelp['keys']> = [
  ['1 to 7', 'the sections'],
  ['/', 'find'],
  ['?', 'this help'],
  ['Ctrl Z', 'undo what was done last'],
];
