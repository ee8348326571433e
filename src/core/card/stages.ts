/** The stages of one piece, in order, each with who is busy, how long, and what lies between the platens. */
import { COVER_SHEETS } from '../heat';
import { nominalOf } from '../materials';
import { phrase, seconds } from '../units';
import { PRE_PRESS_S } from './house';
import type { ResolveInput } from './input';
import type { Layer, Stage } from './schema';
import type { Closing } from './window';

/** An unhurried pair of hands, s. Drawn on the stage line and counted into the minutes; never judged on. */
const HANDS_S = { load: 15, place: 25, peel: 4, inspect: 6 } as const;

/** From opening the press to the peel, s: a garment with its carrier in still air. */
const PEEL_WAIT_S = { hot: 0, warm: 30, cold: 150 } as const;

/** A second press by house rule, where the sheet names no time of its own, s. */
const SECOND_PRESS_S = 5;

export interface Decisions {
  setC: number;
  timeS: number;
  prePressS: number;
  cover: keyof typeof COVER_SHEETS | null;
  /** Second press, s; null: none. */
  finishS: number | null;
}

/** Cover: what the sheet demands; where it leaves the choice, the operator's, else the house's. */
export function coverChoice({ product, print, house }: ResolveInput): Decisions['cover'] {
  const wanted = print.choices.cover ?? house.rules.coverWhenAllowed === 'always';
  const used = product.cover === 'required' || (product.cover === 'allowed' && wanted);
  return used ? 'ptfe' : null;
}

/** Second press: the sheet's own, else the house's rule; null when there is none as a matter of course. */
export function finishChoice({ product, house }: ResolveInput): number | null {
  if (product.finish) return nominalOf(product.finish.timeS);
  return house.rules.secondPress === 'always' ? SECOND_PRESS_S : null;
}

/** Every shutting of the press, as the bare face beside the art feels it. */
export function closingsOf(d: Omit<Decisions, 'setC'>): Closing[] {
  const closings: Closing[] = [
    { name: 'pre-press', timeS: d.prePressS, cover: null },
    { name: 'press', timeS: d.timeS, cover: d.cover },
  ];
  if (d.finishS !== null) closings.push({ name: 'finish', timeS: d.finishS, cover: 'paper' });
  return closings;
}

export const prePressOf = ({ house }: ResolveInput): number => PRE_PRESS_S[house.rules.prePress];

type Seen = Omit<Layer, 'fresh'>;

/** Marks what was laid in since the stage before; the platens are part of the press. */
const freshen = (stack: Seen[], before: Seen[]): Layer[] =>
  stack.map((layer) => ({
    ...layer,
    fresh: !layer.role.endsWith('platen') && !before.some((b) => b.role === layer.role && b.name === layer.name),
  }));

function layersOf(input: ResolveInput) {
  const { product, fabric, house } = input;
  const layer = (role: Seen['role'], name: string, thicknessMm: number | null = null, hot = false): Seen => ({
    role,
    name,
    thicknessMm,
    hot,
  });
  const cloth = layer('fabric', fabric.name, fabric.thicknessMm);
  return {
    upper: layer('upper platen', 'upper platen', null, true),
    sheet: (cover: keyof typeof COVER_SHEETS) => layer('cover', COVER_SHEETS[cover].name, COVER_SHEETS[cover].thicknessMm),
    carrier: layer('carrier', `${product.carrier} carrier`, product.carrier === 'film' ? 0.1 : 0.12),
    film: layer('transfer', product.name, product.filmMm),
    below: [
      cloth,
      ...(house.rules.loading === 'flat' ? [{ ...cloth, name: `${fabric.name}, back` }] : []),
      layer('pad', 'base pad', 8),
      layer('lower platen', 'lower platen'),
    ],
  };
}

/** The stages of one piece. Works on settled decisions; throws nothing. */
export function stagesOf(input: ResolveInput, d: Decisions): Stage[] {
  const { product, fabric } = input;
  const { upper, sheet, carrier, film, below } = layersOf(input);
  const plan: (Omit<Stage, 'stack'> & { layers: Seen[] })[] = [
    { kind: 'load', by: 'hands', timeS: HANDS_S.load, says: phrase`Load the ${input.blank.kind}`, layers: below },
    {
      kind: 'pre-press',
      by: 'press',
      timeS: d.prePressS,
      says: phrase`Pre-press, bare, ${seconds(d.prePressS)}`,
      layers: [upper, ...below],
    },
    { kind: 'place', by: 'hands', timeS: HANDS_S.place, says: phrase`Place the transfer`, layers: [carrier, film, ...below] },
    {
      kind: 'press',
      by: 'press',
      timeS: d.timeS,
      says: phrase`Press ${seconds(d.timeS)}`,
      layers: [upper, ...(d.cover ? [sheet(d.cover)] : []), carrier, film, ...below],
    },
  ];
  const waitS = PEEL_WAIT_S[product.peel];
  if (waitS > 0)
    plan.push({
      kind: 'wait',
      by: 'clock',
      timeS: waitS,
      says: phrase`Let it cool to ${product.peel}`,
      layers: [carrier, film, ...below.slice(0, -2)],
    });
  plan.push({
    kind: 'peel',
    by: 'hands',
    timeS: HANDS_S.peel,
    says: phrase`Peel ${product.peel}`,
    layers: [carrier, film, ...below.slice(0, -2)],
  });
  if (d.finishS !== null)
    plan.push({
      kind: 'finish',
      by: 'press',
      timeS: d.finishS,
      says: phrase`Second press, ${seconds(d.finishS)}, under paper`,
      layers: [upper, sheet('paper'), film, ...below],
    });
  plan.push({
    kind: 'inspect',
    by: 'hands',
    timeS: HANDS_S.inspect,
    says: phrase`Look ${fabric.texture === 'smooth' ? 'along the edges' : 'into the texture'}`,
    layers: [film, ...below.slice(0, -2)],
  });
  return plan.map(({ layers, ...stage }, i) => ({ ...stage, stack: freshen(layers, plan[i - 1]?.layers ?? below) }));
}
