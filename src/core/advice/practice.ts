/** Practice: a situation dealt from the shop's own shelf, a setting played into it, and what came of it. */
import { COLD_OVER_ROOM_K, correct, SOUND, tempAt, UNDERLAYS, WARM_C } from '../heat';
import { adhesiveOfQuery, type HeatQuery, type Simulated, simulate } from '../heatBench';
import { bandOf } from '../press';
import type { Peel } from '../sheet';
import { type Phrase, phrase, seconds, temp } from '../units';
import type { BenchStack } from './benchStack';

/** What can go wrong, by what it does to the piece. */
export const MISTAKES = ['too little', 'too much', 'marked', 'peeled too hot', 'peeled too cold'] as const;
export type Mistake = (typeof MISTAKES)[number];

/** What is changed about a piece before it is dealt; the operator sees the words, not the figures. */
export interface Situation {
  id: string;
  says: string;
  /** Mistakes it tempts to. */
  tempts: readonly Mistake[];
  change: (query: HeatQuery) => HeatQuery;
  /** The press delivers this much more than its readout, K. */
  runsHotK?: number;
}

const withPiece = (query: HeatQuery, change: Partial<HeatQuery['piece']>): HeatQuery => ({
  ...query,
  piece: { ...query.piece, ...change },
});
const cloth = (
  query: HeatQuery,
  change: (layer: HeatQuery['piece']['stack'][number]) => Partial<HeatQuery['piece']['stack'][number]>,
): HeatQuery =>
  withPiece(query, { stack: query.piece.stack.map((layer) => (layer.role === 'fabric' ? { ...layer, ...change(layer) } : layer)) });

export const SITUATIONS: readonly Situation[] = [
  {
    id: 'an ordinary one',
    says: 'An ordinary piece on a base in use.',
    tempts: ['peeled too hot', 'peeled too cold'],
    change: (query) => query,
  },
  {
    id: 'a cold morning',
    says: 'The first piece of a cold morning: room and base at 12 °C.',
    tempts: ['too little'],
    change: (query) => withPiece(query, { roomC: 12, baseC: 12 }),
  },
  {
    id: 'damp cloth',
    says: 'It has hung in a damp store: the cloth holds two and a half times its usual water.',
    tempts: ['too little'],
    change: (query) => cloth(query, ({ waterKgM2 = 0.004 }) => ({ waterKgM2: waterKgM2 * 2.5 })),
  },
  {
    id: 'over a pillow',
    says: 'A seam lies under the print: a pillow is laid in, and the pressure over it is lower.',
    tempts: ['too little', 'too much'],
    change: (query) => {
      const at = query.piece.stack.findIndex(({ role }) => role === 'underlay' || role === 'pad');
      const stack = [...query.piece.stack];
      stack.splice(at < 0 ? stack.length : at, 0, { role: 'underlay', ...UNDERLAYS.pillow });
      return withPiece(query, { stack, contactKPa: query.piece.contactKPa * 0.8 });
    },
  },
  {
    id: 'thick cloth',
    says: 'The cloth is half as thick again as usual.',
    tempts: ['too much'],
    change: (query) => cloth(query, ({ thicknessMm, waterKgM2 = 0 }) => ({ thicknessMm: thicknessMm * 1.5, waterKgM2: waterKgM2 * 1.5 })),
  },
  {
    id: 'a hot press',
    says: 'Someone measured the press this morning: the platen is 9 K (16 °F) hotter than it shows.',
    tempts: ['marked', 'too much'],
    change: (query) => query,
    runsHotK: 9,
  },
];

export interface Deal {
  situation: Situation;
  stack: BenchStack;
  query: HeatQuery;
}

/**
 * Deals a situation: each has one ticket, and one more for every time a mistake it tempts to was made.
 *
 * @param chance two numbers from 0 up to 1, for the situation and the stack
 */
export function deal(
  stacks: readonly BenchStack[],
  missed: Readonly<Partial<Record<Mistake, number>>>,
  chance: readonly [number, number],
): Deal | null {
  const stack = stacks[Math.floor(chance[1] * stacks.length)];
  if (!stack) return null;
  const tickets = SITUATIONS.map(({ tempts }) => 1 + tempts.reduce((sum, kind) => sum + (missed[kind] ?? 0), 0));
  let left = chance[0] * tickets.reduce((a, b) => a + b, 0);
  const i = tickets.findIndex((count) => {
    left -= count;
    return left < 0;
  });
  const situation = SITUATIONS[i < 0 ? SITUATIONS.length - 1 : i] as Situation;
  return { situation, stack, query: situation.change(stack.query) };
}

export interface Played {
  setC: number;
  timeS: number;
  prePressS: number;
  /** Seconds after opening at which it is peeled. */
  peelS: number;
}

export interface Outcome {
  seen: Simulated;
  /** At the bond line as it was peeled, °C. */
  peeledC: number;
  mistakes: Mistake[];
  score: number;
  says: Phrase[];
  /** A setting that would have served, as the model has it. */
  better: { timeS: number; bond: number };
}

const COST: Record<Mistake, number> = { 'too little': 40, 'too much': 30, marked: 40, 'peeled too hot': 25, 'peeled too cold': 15 };
/** A hot peel is done within so many seconds of opening; a film that cooled further grips its carrier. */
const HOT_WITHIN_S = 10;

function peelMistake(peel: Peel, peeledC: number, peelS: number, roomC: number): Mistake | null {
  if (peel === 'hot') return peelS > HOT_WITHIN_S ? 'peeled too cold' : null;
  if (peel === 'warm') return peeledC > WARM_C.high ? 'peeled too hot' : peeledC < WARM_C.low ? 'peeled too cold' : null;
  return peel === 'cold' && peeledC > roomC + COLD_OVER_ROOM_K ? 'peeled too hot' : null;
}

const times = (value: number) => value.toFixed(2);

/** Plays a setting into a deal. The piece itself, not the readout, decides. */
export function play({ situation, stack, query }: Deal, played: Played): Outcome {
  const { peel } = stack;
  const surfaceC = Math.min(260, Math.max(0, bandOf(stack.press, played.setC).midC + (situation.runsHotK ?? 0)));
  const passage = {
    ...query.passage,
    surfaceC,
    timeS: played.timeS,
    prePressS: played.prePressS,
    finish: null,
    cooling: { where: 'air' as const, forS: Math.max(30, played.peelS + 1) },
  };
  const heatPiece: HeatQuery = { ...query, passage };
  const seen = simulate(heatPiece);
  const opened = seen.stages.find(({ name }) => name === 'press')?.toS ?? 0;
  const { timeS, tempC } = seen.curves.glue;
  const peeledC = tempAt({ timeS: Float64Array.from(timeS), tempC: Float64Array.from(tempC) }, opened + played.peelS);
  const { bond, mark } = seen.read;
  const peeled = peelMistake(peel, peeledC, played.peelS, query.piece.roomC);
  const mistakes: Mistake[] = [
    ...(bond < SOUND.low ? ['too little' as const] : []),
    ...(bond > SOUND.high ? ['too much' as const] : []),
    ...(mark !== null && mark > 1 ? ['marked' as const] : []),
    ...(peeled ? [peeled] : []),
  ];
  const adhesive = adhesiveOfQuery(query);
  const { rounded } = correct(
    {
      piece: query.piece,
      passage,
      adhesive,
      limits: query.limits,
      allowed: { timeS: stack.allowed.timeS, surfaceC: { min: surfaceC, max: surfaceC } },
    },
    { resolution: 0.4, toleranceK: 0.1 },
  );
  return {
    seen,
    peeledC,
    mistakes,
    score: Math.max(0, 100 - mistakes.reduce((sum, kind) => sum + COST[kind], 0)),
    says: [
      phrase`The glue reached ${temp(seen.read.glueC)} and a bond of ${times(bond)}; sound is ${times(SOUND.low)} to ${times(SOUND.high)}.`,
      ...(mark === null
        ? []
        : [phrase`The bare face took ${times(mark)} of what it bears before a mark shows${mark > 1 ? ': it shines.' : '.'}`]),
      ...(seen.read.dampShare > 0.05
        ? [
            phrase`${String(Math.round(100 * seen.read.dampShare))} % of its water was still in it as the press shut on the transfer: a longer pre-press would have driven it out.`,
          ]
        : []),
      ...(peel === 'none' ? [] : [phrase`Peeled ${seconds(played.peelS)} after opening, at ${temp(peeledC)}; its sheet says ${peel}.`]),
    ],
    better: { timeS: rounded.timeS, bond: rounded.bond },
  };
}
