/**
 * Ways out of a Hold: each one change a shop can make, worked out as a card of its own and offered only if that card is not Hold.
 * Where a Care comes from where the art lies on the platen, what would lay it better.
 */

import { type Card, minutesOf, stagesOf } from '../card';
import { areaOfArt, layIn, limitsFor, mapOf, type PreparedInput, poseOf, prepared, pressOf, type ResolveInput } from '../draft';
import { byHouse } from '../house';
import { type Finding, type Judgement, judge, LAW, type Law, QUICK } from '../judgement';
import { nearestShift } from '../placement';
import { dwells } from '../press';
import { FAMILIES, priceOfPrint, unlike } from '../sheet';
import { type Phrase, phrase, seconds, tape, temp } from '../units';
import type { Side } from '../window';
import { inputsAfter, type Stock } from './change';
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
  if (byHouse(house, 'obstruction', { pillow: true, raise: true, 'hang off': false }) || print.crossesSeam || print.choices.base) {
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
  const clearance = (whole: number, side: number) => Math.max(0, Math.floor((whole - side) / 2 - LAY_MARGIN_MM));
  const [right, front] = [clearance(platen.widthMm, area.widthMm), clearance(platen.heightMm, area.heightMm)];
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
  const { pose } = input;
  if (!pose.placement || (pose.inTheWay.length === 0 && !pose.placement.findings.some((finding) => finding.level === 'hold'))) return [];
  const { lay: _, ...free } = input.print;
  const from = free.moved ?? { xMm: 0, yMm: 0 };
  const at = (shift: { xMm: number; yMm: number }) => ({ xMm: from.xMm + shift.xMm, yMm: from.yMm + shift.yMm });
  const shift = nearestShift((by) => {
    const { placement, plain } = poseOf({ ...input, print: { ...free, moved: at(by) } });
    return plain.feasible && placement?.findings.every((finding) => finding.level !== 'hold') === true;
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

/** The art is made no smaller than this share of what was asked, and cut in two no further apart than the last of these, mm. */
const LEAST_SHARE = 0.5;
const SHARES = [0.9, 0.8, 0.7, 0.6, LEAST_SHARE];
const APART_MM = [0, 8, 15, 25, 40];

/** Art that is too large for where it is to go, or lies across something: smaller, or cut in two. */
function cuts(input: PreparedInput, judged: Judgement): Candidate[] {
  const { widthMm, heightMm } = input.print;
  const isOfSize = judged.lamp.findings.some(
    ({ level, field }) => level === 'hold' && (field === 'art' || field === 'loading' || field === 'base'),
  );
  if (!isOfSize) return [];
  const round = (side: number) => Math.round(side * 2) / 2;
  return [
    ...SHARES.map((share) => {
      const size = { widthMm: round(share * widthMm), heightMm: round(share * heightMm) };
      return { change: { size }, says: phrase`Make the art smaller: ${tape(size.widthMm)} wide and ${tape(size.heightMm)} high.` };
    }),
    ...APART_MM.map((apartMm) => ({
      change: { halves: { apartMm } },
      says:
        apartMm === 0
          ? phrase`Cut the art down its middle, and press it as two prints, one after the other.`
          : phrase`Cut the art down its middle, and press it as two prints, ${tape(2 * apartMm)} apart.`,
    })),
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
  if (!holds.some((hold) => isMark(hold) && hold.closing === undefined) || !holds.every(isOfMark) || input.blank.tested) return [];
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
    ...cuts(input, judged),
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

/** A result with another body than was meant is another thing, whatever its lamp. */
const otherBody = ({ unlike: far }: WayOut): number => (far < 2 ? 0 : far);

/** Better first: the same body, lamp, what stands by itself, how alike it is else, then minutes, money, fewer things changed, margin. */
const better = (a: WayOut, b: WayOut): number =>
  otherBody(a) - otherBody(b) ||
  QUALITY[a.lamp] - QUALITY[b.lamp] ||
  supposed(a) - supposed(b) ||
  a.unlike - b.unlike ||
  a.minutesPerPiece - b.minutesPerPiece ||
  a.costMinor - b.costMinor ||
  changes(a) - changes(b) ||
  b.smallestMarginK - a.smallestMarginK;

/** What kind of idea a way out is: six offers should be six ideas. */
function ideaOf({ change }: WayOut): string {
  if (change.productId) return `product ${change.productId}`;
  if (change.pressId) return `press ${change.pressId}`;
  if (change.lay) return `lay turned ${change.lay.turn}`;
  if (change.size) return 'smaller';
  if (change.halves) return 'halves';
  return Object.keys(change).sort().join('+') + (change.alternative ?? change.base ?? change.platenId ?? '');
}

/** A change judged: what every print it makes comes to, the worst of them standing for all. Null: it names what is not there. */
function judgedWith(
  original: ResolveInput,
  change: Change,
  stock: Stock,
  law: Law,
): { changed: PreparedInput; judged: Judgement; minutes: number } | null {
  const prints = inputsAfter(original, change, stock).map((other) => {
    const changed = prepared(other);
    return { changed, judged: judge(changed, law) };
  });
  const [first] = [...prints].sort((a, b) => QUALITY[b.judged.lamp.state] - QUALITY[a.judged.lamp.state]);
  if (!first) return null;
  const minutes = prints.reduce((sum, { changed, judged }) => sum + minutesOf(stagesOf(changed, judged.draft, judged.values)), 0);
  return { ...first, minutes };
}

/** A change that serves, as it is offered. */
function wayOf(
  original: ResolveInput,
  { change, says }: Candidate,
  { changed, judged, minutes }: NonNullable<ReturnType<typeof judgedWith>>,
): WayOut {
  const { lamp, set, window, smallestMarginK } = judged;
  return {
    says,
    change,
    lamp: lamp.state === 'clear' ? 'clear' : 'care',
    set: { tempC: set.tempC, lowerC: set.lowerC, unit: window.settable.unit, timeS: set.timeS },
    smallestMarginK,
    unlike: unlike(original.product, changed.product, original.print.artKind),
    // another transfer has to be made first; the one in hand is there already
    minutesPerPiece: minutes + (change.productId === undefined ? 0 : changed.product.minutesToMake),
    costMinor: priceOfPrint(changed.product, changed.print),
  };
}

/** The ways a list of changes comes to, of those that are wanted. */
function waysOf(original: ResolveInput, list: readonly Candidate[], stock: Stock, isWanted: (judged: Judgement) => boolean): WayOut[] {
  const ways: WayOut[] = [];
  const tried = new Set<string>();
  for (const { change, says } of list) {
    // of the sizes, and of the gaps between halves, the first that serves
    const kind = change.size ? 'size' : change.halves ? 'halves' : null;
    if (kind && tried.has(kind)) continue;
    const attempt = judgedWith(original, change, stock, QUICK);
    if (!attempt || attempt.judged.lamp.state === 'hold' || !isWanted(attempt.judged)) continue;
    if (kind) tried.add(kind);
    ways.push(wayOf(original, { change, says }, attempt));
  }
  const chosen: WayOut[] = [];
  for (const way of ways.sort(better)) if (!chosen.some((candidate) => ideaOf(candidate) === ideaOf(way))) chosen.push(way);
  return chosen;
}

/** Whether a finding comes from where the art lies on the platen. */
const isOfLay = ({ from, rule, closing }: Finding): boolean =>
  closing === undefined && (rule === 'cold-spot-under-art' || (from === 'margin' && (rule === 'sheet low' || rule === 'sheet high')));

/** What would lay the art better, where a Care comes from the platen under it. */
function betterPose(original: ResolveInput, stock: Stock, card: Pick<Card, 'lamp'>): WayOut[] {
  if (!card.lamp.findings.some(isOfLay)) return [];
  const input = prepared(original);
  const judged = judge(input, QUICK);
  return waysOf(original, lays(input, judged), stock, ({ lamp }) => !lamp.findings.some(isOfLay)).slice(0, OWN_KEPT);
}

/**
 * Ways out for a card on Hold, best first, at most six; for one on Care what would lay it better; none for one that is Clear.
 *
 * Each is judged like any other card. Of one idea only the best stands; of the setting changes that each need no other
 * product or press up to two are kept, so that a shop sees what it can do with what is in its hand.
 */
export function waysOut(original: ResolveInput, card: Pick<Card, 'lamp'>, stock: Stock): WayOut[] {
  if (card.lamp.state === 'care') return betterPose(original, stock, card);
  if (card.lamp.state === 'clear') return [];
  const input = prepared(original);
  const judged = judge(input, QUICK);
  const chosen = waysOf(original, candidates(input, judged, stock), stock, () => true);
  // many were ranked without the bond; the few that stand are judged in full
  return withOwn(chosen)
    .map((way) => {
      const lamp = judgedWith(original, way.change, stock, LAW)?.judged.lamp.state ?? way.lamp;
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
