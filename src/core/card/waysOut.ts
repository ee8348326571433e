/** Ways out of a Hold: each one change a shop can make, worked out as a card of its own and offered only if that card is not Hold. */
import { FAMILIES } from '../materials';
import { type Phrase, phrase, seconds, temp } from '../units';
import { inputAfter, type Stock } from './change';
import { pressOf } from './draft';
import type { ResolveInput } from './input';
import { type Judgement, judge } from './resolve';
import type { Card, Change, WayOut } from './schema';
import { minutesOf, stagesOf } from './stages';
import { limitsFor } from './window';

const MOST_OFFERED = 6;
/** A tested mark limit is offered only this far over the fibre's own: beyond it the piece is likely spoiled, K. */
const TEST_REACHES_K = 25;

interface Candidate {
  change: Change;
  says: Phrase;
}

/** Changes of setting on the same product and press. */
function settings(input: ResolveInput, judged: Judgement): Candidate[] {
  const { product, press, print, house } = input;
  const stage = pressOf(judged.draft);
  const shortest = stage.timeS.min;
  const list: Candidate[] = [
    { change: {}, says: phrase`Go back to the card’s own setting.` },
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

/**
 * A test piece at this very setting: what it would have to show, and only where a test may overrule.
 * It never lifts a damage limit, and it is offered only where the mark is the trouble or nobody knows the material.
 */
function testPiece(input: ResolveInput, judged: Judgement): Candidate[] {
  const { product } = input;
  const holds = judged.lamp.findings.filter((finding) => finding.level === 'hold').map((finding) => finding.rule);
  const settled = ['clear-plastic-unknown', 'coating-refuses'];
  if (holds.length > 0 && holds.every((rule) => settled.includes(rule)))
    return [
      {
        change: { testPiece: { productId: product.id, markC: null } },
        says: phrase`Press a test piece, and note on the blank that it held.`,
      },
    ];
  const ofMark = ['margin: mark', 'margin: sheet low', 'finish, margin: mark'];
  if (!holds.includes('margin: mark') || !holds.every((rule) => ofMark.includes(rule)) || input.blank.tested) return [];
  const own = limitsFor(input).markC;
  // where sheet and mark leave no room, the best setting is short of both: the limit would have to rise by both together
  const short = judged.margins
    .filter(({ side }) => side === 'mark' || side === 'sheet low')
    .reduce((sum, { kelvin }) => sum + Math.min(0, kelvin), 0);
  if (own === null || -short > TEST_REACHES_K) return [];
  const markC = Math.min(260, own + Math.ceil(-short) + 1);
  return [
    {
      change: { testPiece: { productId: product.id, markC } },
      says: phrase`Press a test piece. If its bare face stays unmarked, note ${temp(markC)} on the blank.`,
    },
  ];
}

function candidates(input: ResolveInput, judged: Judgement, stock: Stock): Candidate[] {
  const presses = stock.presses.filter((press) => press.id !== input.press.id && !press.retiredOn);
  const products = stock.products.filter((product) => product.id !== input.product.id && !product.retiredOn);
  const elsewhere = presses.map((press) => ({ change: { pressId: press.id }, says: phrase`Press it on ${press.name}.` }));
  const swapped = products.map((product) => ({
    change: { productId: product.id },
    says: phrase`Use ${product.name} (${FAMILIES[product.familyId].name}).`,
  }));
  const both = products.flatMap((product) =>
    presses.map((press) => ({ change: { productId: product.id, pressId: press.id }, says: phrase`Use ${product.name} on ${press.name}.` })),
  );
  return [...settings(input, judged), ...testPiece(input, judged), ...elsewhere, ...swapped, ...both];
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
  return Object.keys(change).sort().join('+') + (change.alternative ?? change.base ?? change.platenId ?? '');
}

/**
 * Ways out for a card on Hold, best first, at most six; none for a card that is not.
 *
 * Each is judged like any other card. Of one idea only the best stands; of the setting changes that each need no other
 * product or press at least one is kept, so that a shop sees what it can do with what is in its hand.
 */
export function waysOut(input: ResolveInput, card: Pick<Card, 'lamp'>, stock: Stock): WayOut[] {
  if (card.lamp.state !== 'hold') return [];
  const judged = judge(input);
  const ways: WayOut[] = [];
  for (const { change, says } of candidates(input, judged, stock)) {
    const changed = inputAfter(input, change, stock);
    if (!changed) continue;
    const { lamp, set, window, smallestMarginK, draft, values } = judge(changed);
    if (lamp.state === 'hold') continue;
    ways.push({
      says,
      change,
      lamp: lamp.state,
      set: { tempC: set.tempC, unit: window.settable.unit, timeS: set.timeS },
      smallestMarginK,
      minutesPerPiece: minutesOf(stagesOf(changed, draft, values)),
      costMinor: changed.product.pricePerSheetMinor,
    });
  }
  const chosen: WayOut[] = [];
  for (const way of ways.sort(better)) if (!chosen.some((one) => ideaOf(one) === ideaOf(way))) chosen.push(way);
  return withOwn(chosen);
}

/** The best six, the last of them given up for a way that needs no other product or press if there is none among them. */
function withOwn(chosen: WayOut[]): WayOut[] {
  const best = chosen.slice(0, MOST_OFFERED);
  const own = (way: WayOut) => !way.change.productId && !way.change.pressId;
  if (best.some(own)) return best;
  const first = chosen.find(own);
  return first ? [...best.slice(0, MOST_OFFERED - 1), first].sort(better) : best;
}
