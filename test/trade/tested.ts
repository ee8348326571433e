/** Cases of tested settings: what a card starts from where something was pressed on this material before. */
import type { Case } from './check';

const T = 'cotton-tee';

export const TESTED: Case[] = [
  {
    says: 'a card starts from what was tested on this blank, and says so',
    on: T,
    with: 'cut-film',
    product: { otherPeels: ['cold'] },
    tested: [{ setC: 156, timeS: 14, peel: 'cold' }],
    lamp: 'clear',
    set: { tempC: 156, timeS: 14, peel: 'cold' },
    reason: /Tested good on cotton tee on 2026-05-04 by EM: 156 °C, 14 s, peeled cold\./,
  },
  {
    says: 'on another press it is moved by both offsets',
    on: T,
    with: 'cut-film',
    press: 'cold',
    tested: [{ setC: 143, timeS: 13, onPress: 'hot' }],
    // 143 on one that runs 12 K hot is a surface of 155, which one that runs 9 K cold has at 164
    set: { tempC: 164, timeS: 13 },
    reason: /for the same surface a true press is set to 164 °C/,
  },
  {
    says: 'the same press comes before the same blank, and the later before the earlier',
    on: T,
    with: 'cut-film',
    tested: [
      { setC: 158, timeS: 13, onPress: 'hot' },
      { setC: 151, timeS: 11, on: { kind: 'fabric', id: 'cotton-jersey' }, testedOn: '2026-02-01' },
      { setC: 153, timeS: 12, on: { kind: 'fabric', id: 'cotton-jersey' }, testedOn: '2026-03-01' },
    ],
    set: { tempC: 153, timeS: 12 },
  },
  {
    says: 'a test that went wrong is not begun from, nor a good one that a later one of the same setting spoke against',
    on: T,
    with: 'cut-film',
    tested: [
      { setC: 158, timeS: 15, result: 'marked' },
      { setC: 159, timeS: 15, testedOn: '2026-02-01' },
      { setC: 149, timeS: 10, testedOn: '2026-01-05' },
    ],
    set: { tempC: 149, timeS: 10 },
  },
  {
    says: 'what the house keeps for all of them gives way to a test on this one',
    on: T,
    with: 'cut-film',
    keeps: { time: 15, temperature: 150 },
    tested: [{ setC: 154, timeS: 13 }],
    set: { tempC: 154, timeS: 13 },
  },
  {
    says: 'what was chosen for this print comes before a test',
    on: T,
    with: 'cut-film',
    choices: { setC: 152, timeS: 11 },
    tested: [{ setC: 156, timeS: 14 }],
    set: { tempC: 152, timeS: 11 },
  },
  {
    says: 'a test outside the sheet that would put the piece on Hold is left out, and that is said',
    on: T,
    with: 'cut-film',
    tested: [{ setC: 185, timeS: 12, offSheet: true }],
    lamp: 'clear',
    reason: /Tested good.*185 °C.*left out: this piece would be on Hold with it/,
  },
  {
    says: 'a peel that its sheet does not have is left out',
    on: T,
    with: 'cut-film',
    tested: [{ setC: 152, timeS: 12, peel: 'hot' }],
    set: { peel: 'warm' },
    reason: /peeled hot in a test, which its sheet does not have: left out/,
  },
  {
    says: 'a good test on the blank eases a mark as a noted test piece does',
    on: 'three-fibre-tee',
    with: 'screen-printed',
    tested: [{ setC: 176, timeS: 6, peel: 'hot' }],
    lamp: 'care',
    because: /A test piece held; without it: .*marked beside the art/,
  },
  {
    says: 'a setting by hand of so short a bond is Care',
    on: 'canvas-apron',
    with: 'screen-printed',
    choices: { setC: 175, timeS: 6 },
    lamp: 'care',
    because: /without a sound bond/,
  },
  {
    says: 'and needs no reckoning of it where it was tested good',
    on: 'canvas-apron',
    with: 'screen-printed',
    tested: [{ setC: 175, timeS: 6, peel: 'hot' }],
    notBecause: /without a sound bond/,
    set: { tempC: 175, timeS: 6 },
  },
  {
    says: 'a test tells of one platen: split heat does not begin from it',
    on: 'three-fibre-tee',
    with: 'stretch-film',
    press: 'twoSided',
    choices: { heat: 'split' },
    tested: [{ setC: 133, timeS: 9 }],
    noReason: /Tested good/,
  },
];
