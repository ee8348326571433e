/** Ways out of a Hold: each one change a shop can make, worked out as a card of its own and offered only if that card is not Hold. */

import { type Card, minutesOf, stagesOf } from '../card';
import { areaOfArt, laidOf, layIn, limitsFor, mapOf, type PreparedInput, prepared, pressOf, type ResolveInput } from '../draft';
import { type Finding, type Judgement, judge, QUICK, type Side } from '../judgement';
import { nearestShift } from '../placement';
import { dwells } from '../press';
import { FAMILIES } from '../sheet';
import { type Phrase, phrase, seconds, tape, temp } from '../units';
import { inputAfter, type Stock } from './change';
import type { Change, WayOut } from './wayOut';

const MOST_OFFERED = 6;
/** Heated platen left round the art when a piece is shifted, mm. */
const LAY_MARGIN_MM = 10;
/** A tested mark limit is offered only this far over the fibre's own: beyond it the piece is likely spoiled, K. */
const TEST_REACHES_K = 25;
/** With so much to spare from a limit that was tested, a mark is unlikely, K. */
const TESTED_SPARE_K = 6;

interface Candidate {
  change: Change;
  says: Phrase;
}

/** Changes of setting on the same product and press. */
function settings(input: PreparedInput, judged: Judgement): Candidate[] {
  const { product, press, print, house } = input;
  const stage = pressOf(judged.draft);
  const shortest = dwells(press, stage.timeS).min;
  const list: Candidate[] = [
    { change: { ownSetting: true }, says: phrase`Go back to the card’s own setting.` },
    { change: { timeS: shortest }, says: phrase`Press only ${seconds(shortest)}, the least the sheet allows.` },
  ];
  if (stage.cover === 'allowed') {
    list.push({ change: { cover: true }, says: phrase`Put a cover sheet over it.` });
    list.push({ change: { cover: true, timeS: shortest }, says: phrase`Put a cover sheet over it and press only ${seconds(shortest)}.` });
  }
  for (const { name } of product.alternatives)
    list.push({ change: { alternative: name }, says: phrase`Use the sheet’s own alternative: ${name}.` });
  if (press.lower) list.push({ change: { heat: 'split' }, says: phrase`Split the heat: hot from below, cool from above.` });
  if (house.rules.obstruction !== 'hang off' || print.crossesSeam || print.choices.base) {
    list.push({ change: { base: 'pillow' }, says: phrase`Lay a pillow under the print.` });
    list.push({ change: { base: 'firm pad' }, says: phrase`Raise the print on a firm pad.` });
  }
  for (const platen of press.swapPlatens) list.push({ change: { platenId: platen.id }, says: phrase`Put the ${platen.name} in.` });
  if (input.item.perClosing > 1 || input.item.together.length > 0)
    list.push({ change: { perClosing: 1 }, says: phrase`Press one piece a closing.` });
  return list;
}

/** Other lays on the same platen: turned round, in the middle, or shifted a quarter of the room to any side. */
function lays(input: PreparedInput, judged: Judgement): Candidate[] {
  const { print } = input;
  if (!mapOf(input)) return [];
  const { platen } = judged.draft;
  const now = layIn(input);
  const area = areaOfArt(print, now);
  const room = (whole: number, side: number) => Math.max(0, Math.floor((whole - side) / 2 - LAY_MARGIN_MM));
  const [right, front] = [room(platen.widthMm, area.widthMm), room(platen.heightMm, area.heightMm)];
  const shifted = [
    [0, 0],
    [-right, 0],
    [right, 0],
    [0, -front],
    [0, front],
  ].map(([xMm = 0, yMm = 0]) => ({ ...now, xMm, yMm }));
  const turned = { xMm: -now.xMm, yMm: -now.yMm, turn: ((now.turn + 180) % 360) as 0 | 90 | 180 | 270 };
  const where = ({ xMm, yMm }: { xMm: number; yMm: number }) =>
    xMm === 0 && yMm === 0 ? 'the middle' : xMm < 0 ? 'the left' : xMm > 0 ? 'the right' : yMm < 0 ? 'the back' : 'the front';
  return [
    ...(now.xMm !== 0 || now.yMm !== 0
      ? [{ change: { lay: turned }, says: phrase`Turn the piece round on the platen, so that the art lies at the other side.` }]
      : []),
    ...shifted
      .filter((lay) => lay.xMm !== now.xMm || lay.yMm !== now.yMm)
      .map((lay) => ({ change: { lay }, says: phrase`Shift the piece so that the art lies at ${where(lay)} of the platen.` })),
  ];
}

/** The nearest place on the piece that can be pressed on this platen, where the one of the rule cannot. */
function moves(input: PreparedInput): Candidate[] {
  const { laid } = input;
  if (!laid.placement || (laid.inTheWay.length === 0 && !laid.placement.findings.some((one) => one.level === 'hold'))) return [];
  const { lay: _, ...free } = input.print;
  const from = free.moved ?? { xMm: 0, yMm: 0 };
  const at = (shift: { xMm: number; yMm: number }) => ({ xMm: from.xMm + shift.xMm, yMm: from.yMm + shift.yMm });
  const shift = nearestShift((by) => {
    const { placement, plain } = laidOf({ ...input, print: { ...free, moved: at(by) } });
    return plain.feasible && placement?.findings.every((one) => one.level !== 'hold') === true;
  });
  if (!shift) return [];
  const { xMm, yMm } = shift;
  const ways = [
    ...(yMm !== 0 ? [phrase`${tape(Math.abs(yMm))} ${yMm < 0 ? 'up' : 'down'}`] : []),
    ...(xMm !== 0 ? [phrase`${tape(Math.abs(xMm))} to the ${xMm < 0 ? 'left' : 'right'} as it lies`] : []),
  ];
  const [one, two] = ways;
  return [
    {
      change: { moved: at(shift) },
      says: phrase`Move the art ${one ?? ''}${two ? phrase` and ${two}` : ''}: the nearest place that can be pressed on this platen.`,
    },
  ];
}

/**
 * A test piece at this very setting: what it would have to show, and only where a test may overrule.
 * It never lifts a damage limit, and it is offered only where the mark is the trouble or nobody knows the material.
 */
function testPiece(input: PreparedInput, judged: Judgement): Candidate[] {
  const { product } = input;
  const holds = judged.lamp.findings.filter((finding) => finding.level === 'hold');
  const settled = ['clear-plastic-unknown', 'coating-refuses'];
  if (holds.length > 0 && holds.every(({ rule }) => settled.includes(rule)))
    return [
      {
        change: { testPiece: { productId: product.id, markC: null } },
        says: phrase`Press a test piece, and note on the blank that it held.`,
      },
    ];
  if (holds.length > 0 && holds.every(({ from, rule, closing }) => from === 'margin' && rule === 'dye' && closing === undefined))
    return [
      {
        change: { testPiece: { productId: product.id, markC: null } },
        says: phrase`Press a test piece and leave it a day. If no dye shows in it, note on the blank that it held.`,
      },
    ];
  const isMark = ({ from, rule }: Finding) => from === 'margin' && rule === 'mark';
  const isOfMark = (finding: Finding) =>
    isMark(finding)
      ? finding.closing === undefined || finding.closing === 'finish'
      : finding.from === 'margin' && finding.rule === 'sheet low' && finding.closing === undefined;
  if (!holds.some((one) => isMark(one) && one.closing === undefined) || !holds.every(isOfMark) || input.blank.tested) return [];
  const own = limitsFor(input).markC;
  // where sheet and mark leave no room, the best setting is short of both: the limit would have to rise by both together
  const shortOf = (wanted: Side, toSpareK: number) =>
    Math.max(0, toSpareK - (judged.margins.find(({ side }) => side === wanted)?.kelvin ?? toSpareK));
  const riseK = shortOf('mark', TESTED_SPARE_K) + shortOf('sheet low', 0);
  if (own === null || riseK > TEST_REACHES_K) return [];
  const markC = Math.min(260, own + Math.ceil(riseK));
  return [
    {
      change: { testPiece: { productId: product.id, markC } },
      says: phrase`Press a test piece. If its bare face stays unmarked, note ${temp(markC)} on the blank.`,
    },
  ];
}

function candidates(input: PreparedInput, judged: Judgement, stock: Stock): Candidate[] {
  const presses = stock.presses.filter((press) => press.id !== input.press.id && !press.retiredOn);
  const products = stock.products.filter((product) => product.id !== input.product.id && !product.retiredOn);
  const elsewhere = presses.map((press) => ({ change: { pressId: press.id }, says: phrase`Press it on ${press.name}.` }));
  const swapped = products.map((product) => ({
    change: { productId: product.id },
    says: phrase`Use ${product.name} (${FAMILIES[product.familyId].name}).`,
  }));
  const smaller = products.flatMap((product) =>
    input.press.swapPlatens.map((platen) => ({
      change: { productId: product.id, platenId: platen.id },
      says: phrase`Use ${product.name} on the ${platen.name}.`,
    })),
  );
  const both = products.flatMap((product) =>
    presses.map((press) => ({ change: { productId: product.id, pressId: press.id }, says: phrase`Use ${product.name} on ${press.name}.` })),
  );
  return [
    ...settings(input, judged),
    ...lays(input, judged),
    ...moves(input),
    ...testPiece(input, judged),
    ...elsewhere,
    ...swapped,
    ...smaller,
    ...both,
  ];
}

const QUALITY = { clear: 0, care: 1, hold: 2 } as const;
const changes = (way: WayOut) => Object.keys(way.change).length;

/** A supposed test is worth less than a card that stands by itself. */
const supposed = (way: WayOut) => Number(way.change.testPiece !== undefined);

/** Better first: lamp, then minutes, then money, then fewer things changed, then margin. */
const better = (a: WayOut, b: WayOut): number =>
  QUALITY[a.lamp] - QUALITY[b.lamp] ||
  supposed(a) - supposed(b) ||
  a.minutesPerPiece - b.minutesPerPiece ||
  a.costMinor - b.costMinor ||
  changes(a) - changes(b) ||
  b.smallestMarginK - a.smallestMarginK;

/** What kind of idea a way out is: six offers should be six ideas. */
function ideaOf({ change }: WayOut): string {
  if (change.productId) return `product ${change.productId}`;
  if (change.pressId) return `press ${change.pressId}`;
  if (change.lay) return `lay turned ${change.lay.turn}`;
  return Object.keys(change).sort().join('+') + (change.alternative ?? change.base ?? change.platenId ?? '');
}

/**
 * Ways out for a card on Hold, best first, at most six; none for a card that is not.
 *
 * Each is judged like any other card. Of one idea only the best stands; of the setting changes that each need no other
 * product or press up to two are kept, so that a shop sees what it can do with what is in its hand.
 */
export function waysOut(given: ResolveInput, card: Pick<Card, 'lamp'>, stock: Stock): WayOut[] {
  if (card.lamp.state !== 'hold') return [];
  const input = prepared(given);
  const judged = judge(input, QUICK);
  const ways: WayOut[] = [];
  for (const { change, says } of candidates(input, judged, stock)) {
    const other = inputAfter(given, change, stock);
    if (!other) continue;
    const changed = prepared(other);
    const { lamp, set, window, smallestMarginK, draft, values } = judge(changed, QUICK);
    if (lamp.state === 'hold') continue;
    ways.push({
      says,
      change,
      lamp: lamp.state,
      set: { tempC: set.tempC, unit: window.settable.unit, timeS: set.timeS },
      smallestMarginK,
      // another transfer has to be made first; the one in hand is there already
      minutesPerPiece: minutesOf(stagesOf(changed, draft, values)) + (change.productId === undefined ? 0 : changed.product.minutesToMake),
      costMinor: changed.product.pricePerSheetMinor,
    });
  }
  const chosen: WayOut[] = [];
  for (const way of ways.sort(better)) if (!chosen.some((one) => ideaOf(one) === ideaOf(way))) chosen.push(way);
  // many were ranked without the bond; the few that stand are judged in full
  return withOwn(chosen)
    .map((way) => {
      const changed = inputAfter(given, way.change, stock);
      const lamp = changed ? judge(prepared(changed)).lamp.state : way.lamp;
      return lamp === 'hold' ? way : { ...way, lamp };
    })
    .sort(better);
}

/** Ways that need no other product or press are worth knowing even where another product would do better: so many are kept. */
const OWN_KEPT = 2;

/** The best six, with up to two among them that need no other product or press. */
function withOwn(chosen: WayOut[]): WayOut[] {
  const own = chosen.filter((way) => !way.change.productId && !way.change.pressId).slice(0, OWN_KEPT);
  const others = chosen.filter((way) => !own.includes(way)).slice(0, MOST_OFFERED - own.length);
  return [...own, ...others].sort(better);
}
