/** The figures of the closing in hand as they are set in this run, what the next closing changes, and a cue in words. */
import { type Card, type ClosingFigures, closingsOfCard, figuresAt } from '../card';
import type { ChosenStage } from '../sheet';
import { formatFigure, type Phrase, phrase, setTemp, UNITS } from '../units';
import type { Cue } from './cue';
import { wantedC } from './heat';
import { closingKind, type RunPlan } from './plan';
import type { RunState } from './state';

/** A closing as it is set now. */
export interface FiguresNow extends ClosingFigures {
  /** Whose settings it goes by: absent for the full press. */
  of: ChosenStage | undefined;
  /** Something of it is set otherwise than carded. */
  changed: boolean;
  /** The gauge's figure belongs to its band. */
  bandAsCarded: boolean;
}

type Set = Pick<RunState, 'setS' | 'setC' | 'sets'>;
type Carded = Pick<Card, 'stages' | 'set'>;

function asSet(plan: RunPlan, run: Set, carded: ClosingFigures): FiguresNow {
  const kind = closingKind({ kind: carded.kind, by: 'press', timeS: carded.timeS });
  const own = run.sets[kind] ?? {};
  const timeS = (kind === 'press' ? run.setS : own.timeS) ?? carded.timeS;
  const stage = plan.stages.find((planned) => planned.by === 'press' && planned.kind === carded.kind);
  const first = plan.machine < 2 ? (kind === 'press' ? run.setC : null) : stage && wantedC(plan, stage, run);
  const tempC = first ?? carded.tempC;
  const band = own.band ?? carded.band;
  const changed = timeS !== carded.timeS || Math.abs(tempC - carded.tempC) > 0.05 || band !== carded.band;
  return { ...carded, timeS, tempC, band, of: kind === 'press' ? undefined : kind, changed, bandAsCarded: band === carded.band };
}

/** Every closing of a card once, as it is set now: what can be set by itself. */
export function closingsNow(card: Carded, plan: RunPlan, run: Set): FiguresNow[] {
  const all = closingsOfCard(card).map((carded) => asSet(plan, run, carded));
  return all.filter((closing, i) => all.findIndex(({ of }) => of === closing.of) === i);
}

/** The closing that a stage is, prepares or follows, as it is set now; null: the press is never shut. */
export function figuresNow(card: Carded, plan: RunPlan, run: Set, stage: number): FiguresNow | null {
  const carded = figuresAt(card, stage);
  return carded && asSet(plan, run, carded);
}

/** What is to be changed at the press from one closing to the next. */
export interface NextFigures {
  kind: ClosingFigures['kind'];
  tempC: number | null;
  timeS: number | null;
  band: ClosingFigures['band'] | null;
  /** Undefined: the same. */
  cover: ClosingFigures['cover'] | undefined;
  peel: ClosingFigures['peel'] | null;
}

/** What the closing after the one in hand changes; null: there is none after it, or it is the same. */
export function changesAhead(card: Carded, plan: RunPlan, run: Set, stage: number): NextFigures | null {
  const now = figuresNow(card, plan, run, stage);
  if (!now) return null;
  // that of the stage itself, or the one it prepares or follows
  const own = card.stages.findIndex((candidate, i) => candidate.by === 'press' && candidate.kind === now.kind && i >= stage);
  const from = own < 0 ? stage : own;
  const ahead = card.stages.findIndex(({ by, kind }, i) => by === 'press' && i > from && kind !== now.kind);
  const then = ahead < 0 ? null : figuresNow(card, plan, run, ahead);
  if (!then) return null;
  const changed = <K extends 'tempC' | 'timeS' | 'band' | 'peel'>(field: K) => (then[field] === now[field] ? null : then[field]);
  return {
    kind: then.kind,
    tempC: Math.abs(then.tempC - now.tempC) > 0.6 ? then.tempC : null,
    timeS: changed('timeS'),
    band: changed('band'),
    cover: then.cover === now.cover ? undefined : then.cover,
    peel: changed('peel'),
  };
}

/** A cue's verb, with the heat it is about as this press shows it. */
export const cueVerb = ({ verb, act, heat }: Pick<Cue, 'verb' | 'act' | 'heat'>, unit: 'C' | 'F'): string =>
  act === 'turned' && heat ? `${verb} ${formatFigure(heat.toC, unit)} ${UNITS[unit].symbol}` : verb;

/** What is known of the heat a cue is about; null: it is about none. */
export function heatWords({ heat }: Pick<Cue, 'heat'>, unit: 'C' | 'F'): Phrase | null {
  if (!heat) return null;
  if (heat.state === 'turn') return phrase`It is set to ${setTemp(heat.fromC, unit)} now.`;
  const { read } = heat;
  if (!read) return phrase`${setTemp(heat.toC, unit)} is wanted; nobody has read it since it was turned.`;
  const where = read.by === 'panel' ? 'It reads' : `The ${read.by} reads`;
  return phrase`${where} ${setTemp(read.value, unit)}; ${setTemp(heat.toReadC, unit)} is wanted${read.by === 'panel' ? '' : ' there'}.`;
}
