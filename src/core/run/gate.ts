/** What is looked at before the first closing, made from the card: each point with what to look for. */
import { type Card, letteringOf, letteringWords, pressureWords } from '../card';
import { COVER_SHEETS } from '../heat';
import { pullAt } from '../press';
import { type Phrase, phrase, seconds, setTemp } from '../units';
import { marryInS } from './base';
import type { RunParcel } from './events';
import { parcelCautions, parcelsReach } from './parcels';
import { changesHeat } from './plan';
import type { RunState } from './state';
import { type TrialNext, trialNext } from './trial';

export interface Check {
  key: string;
  /** What to do, in a few words. */
  says: Phrase;
  /** What to look for. */
  look: Phrase;
  safety: string | null;
  /** What is to be settled first, or known. */
  cautions?: Phrase[];
  /** A figure that is kept with it: the temperature read at the platen, °C, the transfers there are, or the seconds it was shut empty. */
  input: 'temperature' | 'count' | 'clock' | null;
  /** It was looked at before the run just ended, and nothing it rests on has changed. */
  holds: boolean;
}

/** A base is warmed for so long before the first piece, s; before a hot marry-peel, until it has heat to give. */
const BASE_WARM_S = 30;
const MARRY_WARM_S = Math.round(marryInS(0) / 30) * 30;

/** A readout this near to the set value counts as settled, K. */
const SETTLED_K = 3;

/** What becomes of raised things beside the print. */
const RAISED: Record<Card['set']['base'], string> = {
  'usual pad': 'Seams, straps and whatever else stands up hang off the pressed area.',
  pillow: 'What stands up lies over the pillow, so that it sinks; the rest hangs off.',
  'firm pad': 'The print lies on the pad; what stands up lies beside it.',
};

const PINCH = 'Hands out before it closes; platen and base burn. Follow the maker’s instructions.';

/** Whether a readout has come to what the card asks, both °C. */
export const settled = (card: Pick<Card, 'set' | 'stages'>, readC: number): boolean => Math.abs(readC - firstHeat(card)) <= SETTLED_K;

/** What the press is set to for the first closing, °C. */
export const firstHeat = ({ set, stages }: Pick<Card, 'set' | 'stages'>): number =>
  stages.find((stage) => stage.by === 'press')?.setC ?? set.tempC;

/** What a set-up is made from, beside the card. */
interface Setting {
  /** How many are to be pressed. */
  pieces: number;
  /** Slips of paper are to be pulled at this press. */
  pullDue?: boolean;
  /** Keys of the points that hold from the run before. */
  holding?: readonly string[];
  /** What the transfers are taken from. */
  parcels?: readonly RunParcel[];
}

type Rule = (card: Card, setting: Setting) => Omit<Check, 'key' | 'holds'> | null;
const RULES: Record<string, Rule> = {
  parcel: ({ set, of }, { pieces, parcels = [] }) =>
    parcels.length > 0
      ? fromParcels(parcels, pieces)
      : {
          says: phrase`Count the ${of.layers.length > 1 ? 'sets of transfers' : 'transfers'}`,
          look: phrase`${set.mirror === 'by the supplier' ? 'Art, size and colour as ordered; ' : ''}${String(pieces)} are needed, any more are spares.`,
          safety: null,
          input: 'count',
        },
  pull: ({ of, set }, { pullDue, holding = [] }) =>
    pullDue && !holding.includes('pull')
      ? {
          says: phrase`Pull paper slips at the corners, with ${of.pressName} cold`,
          look: phrase`All four alike: at ${set.pressure.band} pressure a slip ${pullAt(set.pressure.contactKPa)}. Hot already: leave it for the next cold start. What you find is kept at Presses, under Pressure.`,
          safety: 'Slips long enough to hold well clear: fingers never go between the platens.',
          input: null,
        }
      : null,
  heat: (card) => ({
    says: phrase`Let it settle at ${setTemp(firstHeat(card), card.window.settable.unit)}`,
    look: phrase`Read it at the press, and read it again a minute later.`,
    safety: null,
    input: 'temperature',
  }),
  pressure: ({ of, set }) => ({
    says: phrase`Set the pressure: ${pressureWords(of.pressName, set.pressure)}`,
    look: phrase`Read it with the piece in the press: a garment raises it.`,
    safety: null,
    input: null,
  }),
  base: ({ set }) => ({
    says: phrase`Base: ${set.base}${set.pad === 'none' ? '' : `, ${set.pad}`}${set.platen === null ? '' : `; platen: ${set.platen}`}`,
    look: phrase`Clean and flat, no glue and no lint on pad or platen.`,
    safety: null,
    input: null,
  }),
  warm: ({ stages }) => {
    const marries = stages.some((stage) => stage.kind === 'marry');
    return {
      says: marries
        ? phrase`Close it empty for about ${String(Math.round(MARRY_WARM_S / 60))} minutes`
        : phrase`Close it empty for ${seconds(BASE_WARM_S)}`,
      look: phrase`${marries ? 'A hot marry-peel needs heat from below.' : 'A cold base robs the first piece of its heat.'}`,
      safety: PINCH,
      input: 'clock',
    };
  },
  cover: ({ set }) => ({
    says: set.cover ? phrase`Cover at hand: ${COVER_SHEETS[set.cover].name}` : phrase`No cover sheet`,
    look: set.cover ? phrase`Whole and clean, larger than the art.` : phrase`Take it off the press, so that it is not laid on by habit.`,
    safety: null,
    input: null,
  }),
  mirror: (card) => ({ says: phrase`Look at the lettering`, look: letteringWords(letteringOf(card)), safety: null, input: null }),
  tab: ({ set, of }) =>
    [set.peel, ...of.layers.map(({ peel }) => peel ?? 'none')].every((peel) => peel === 'none')
      ? null
      : {
          says: phrase`A peel tab on each sheet`,
          look: phrase`A corner to take hold of, away from small parts.`,
          safety: null,
          input: null,
        },
  blank: ({ of, set, laid }) => ({
    says: phrase`Blanks: right side up, clean`,
    look: phrase`${laid ? RAISED[set.base] : 'The face that takes the print up, clean and dry.'} ${of.colour} ${of.size}, as ordered.`,
    safety: null,
    input: null,
  }),
};

/** Transfers are laid out from the parcels the run goes by. */
function fromParcels(parcels: readonly RunParcel[], pieces: number): Omit<Check, 'key' | 'holds'> {
  const there = parcelsReach(parcels);
  const where = parcels.flatMap(({ name, lies }) => (lies === '' ? [] : [`${parcels.length > 1 ? `${name}: ` : ''}${lies}`]));
  const cut = parcels.find(({ perSheet }) => perSheet > 1)?.perSheet;
  const enough =
    there === null
      ? `${pieces} are needed; it was never counted.`
      : there >= pieces
        ? `${pieces} are needed, ${there - pieces} are spares.`
        : `${pieces} are needed and ${there} are there: ${pieces - there} short.`;
  return {
    says: phrase`Transfers from ${parcels.map(({ name }) => name).join(' and ')}`,
    look: phrase`${where.length > 0 ? `They lie here: ${where.join('; ')}. ` : ''}${enough}${cut === undefined ? '' : ` ${cut} on a sheet: cut them apart.`}`,
    safety: null,
    cautions: parcels.flatMap(parcelCautions),
    input: 'count',
  };
}

/** The points to look at before the first closing of a run. */
export function gateOf(card: Card, setting: Setting): Check[] {
  return Object.entries(RULES).flatMap(([key, rule]) => {
    const check = rule(card, setting);
    return check ? [{ key, ...check, holds: setting.holding?.includes(key) ?? false }] : [];
  });
}

/** A run that begins so soon after another ended finds the press as that left it, ms. Ours. */
export const FOLLOWS_MS = 10 * 60_000;

/** A trial is no point of the set-up, but holds like one. */
export const TRIAL = 'trial';

/** What each point rests on: as long as that is the same, what was seen of it is. Not named here: looked at before every run. */
const RESTS_ON: Record<string, (card: Card) => readonly unknown[]> = {
  pull: () => [],
  heat: (card) => [firstHeat(card), card.set.lowerC],
  pressure: ({ of, set }) => [of.blankName, set.pressure.band, set.pressure.setting],
  base: ({ set }) => [set.base, set.pad, set.platen],
  warm: ({ stages }) => [stages.some(({ kind }) => kind === 'marry')],
  cover: ({ set }) => [set.cover],
  mirror: ({ of, set }) => [of.artName, set.mirror, ...of.layers.map(({ mirror }) => mirror)],
  tab: ({ of }) => [of.productId],
  [TRIAL]: ({ of, set }) => [of.productId, of.fabricId, set.trial],
};

/**
 * The points of a set-up that need no second look when a run follows another at the same press at once: those that were looked
 * at, or held, in the one before, and rest on the same; and what a hot press does not allow.
 *
 * @param looked keys of those points
 * @param left how the press was left: set otherwise than carded, °C; null: as carded
 */
export function stillHolds(card: Card, before: Card, looked: readonly string[], left: Pick<RunState, 'setC'>): string[] {
  if (card.of.pressId !== before.of.pressId) return [];
  const moved = left.setC !== null || changesHeat(before.stages);
  // slips are pulled at a cold press, and this one is hot
  return ['pull', ...looked.filter((key) => key !== 'pull')].filter((key) => {
    const on = RESTS_ON[key];
    return on && !(key === 'heat' && moved) && JSON.stringify(on(card)) === JSON.stringify(on(before));
  });
}

/** Key of the check by which what is left of the set-up is passed over. */
export const REST = 'rest';

/** What comes before the first piece: the next point nobody has looked at, then a trial; null: pressing can begin, or has. */
export function leadIn(card: Card, checks: readonly Check[], run: RunState, holding: readonly string[] = []): LeadIn | null {
  if (run.begun > 0 || run.done) return null;
  const check = REST in run.checks ? undefined : checks.find(({ key, holds }) => !holds && !(key in run.checks));
  if (check) return { state: 'set-up', check };
  if (holding.includes(TRIAL)) return null;
  const next = trialNext(card, run);
  return next.state === 'over' ? null : { state: 'trial', next };
}

export type LeadIn = { state: 'set-up'; check: Check } | { state: 'trial'; next: Exclude<TrialNext, { state: 'over' }> };

/**
 * Transfers left over once every piece still to come has one: as counted at the set-up, else as its parcels have them.
 *
 * @returns null where neither is known; below 0: so many are short
 */
export function sparesOf(
  { checks, results, lost }: Pick<RunState, 'checks' | 'results' | 'lost'>,
  pieces: number,
  parcels: readonly RunParcel[] = [],
): number | null {
  const counted = checks.parcel ?? parcelsReach(parcels);
  // a blank lost alone leaves its transfer
  const gone = lost.length + results.filter((result) => result.outcome === 'spoiled' && result.lost !== 'blank').length;
  return counted === null ? null : counted - pieces - gone;
}
