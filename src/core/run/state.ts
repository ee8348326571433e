/**
 * What a run is at an instant. Pieces go through the stages in lots, each lot the pieces of one closing; most lots are one piece.
 * A lot is `active` from its first event until its last piece has its verdict. Timers are instants, so sleep, reload and replay
 * do no harm.
 */
import type { CoverKind, PressureBand } from '../materials';
import type { ChosenStage } from '../sheet';
import type { Lost, ReadBy, SpoilReason, Style, TrialLooks } from './choices';
import type { Pace, SpotArea } from './events';

/** Something read at the press: °C by its panel, a gun or a probe; by its gauge in the gauge's own figures. */
export interface Reading {
  by: ReadBy;
  value: number;
  at: number;
}

/** One shutting of the press, as it was really done. Instants are ms since the epoch, UTC. */
export interface DoneClosing {
  stage: string;
  plannedS: number;
  closedAt: number;
  openedAt: number;
  /** What a device read of the platen as it closed, °C; null: none did. */
  readC: number | null;
  /** What the press was set to, °C; absent: as carded, in runs of the first machine. */
  setC?: number;
  /** The band of pressure, where it was set otherwise than carded. */
  band?: PressureBand;
  /** What was read before it and during it; absent: nothing was. */
  readings?: Reading[];
  /** Made although the last reading was off. */
  passedOver?: true;
  /** A part pressed again: where on the art, and under what. */
  spot?: { area: SpotArea; cover: CoverKind | null };
}

/** How warm a piece is peeled. */
export const PEEL_HEATS = ['hot', 'warm', 'cold'] as const;

/** A peel as it was really done. */
export interface DonePeel {
  peel: (typeof PEEL_HEATS)[number];
  /**
   * From the opening, or from the end of a rub, until the hand begins, s: as carded, 0 for at once, and as it was. The peel is
   * told once it is done; it began its usual length before.
   */
  plannedS: number;
  tookS: number;
  /** Until when it would still have been as warm as it should be, s after opening; absent: it keeps, or nobody said. */
  untilS?: number;
}

export interface PieceResult {
  piece: number;
  outcome: 'good' | 'spoiled';
  reason: SpoilReason | null;
  note: string;
  laidBack: number;
  startedAt: number;
  endedAt: number;
  closings: DoneClosing[];
  peels: DonePeel[];
  /** Set otherwise than carded when it was pressed last; null: as carded. */
  setC: number | null;
  setS: number | null;
  /** Photos of it, by their ids. */
  photos: string[];
  /** The event that gave the verdict; the pressing carries its id. */
  eventId: string;
  /** What was lost of a spoiled one, where only its blank was; absent: all of it, or nothing. */
  lost?: 'blank';
}

/** A sheet or a transfer that was lost while its blank is still good: the piece begins again with another. */
export interface LostTransfer {
  piece: number;
  lost: Exclude<Lost, 'piece' | 'blank'>;
  reason: SpoilReason;
  note: string;
  at: number;
  eventId: string;
}

/** The heat of the press, as the run knows it. */
export interface PressHeat {
  /** What it is set to, °C; null: as the first closing wants it. */
  setC: number | null;
  /** Turned there in this run, and from what: until something is read nobody knows whether it is there. */
  turned: { fromC: number; at: number } | null;
  /** The last reading of its heat since it was set so. */
  read: Reading | null;
  passedOver: boolean;
}

/** What a closing is set to in this run, where that is not as carded. */
export interface StageSetting {
  timeS?: number;
  tempC?: number;
  band?: PressureBand;
}

/** Pieces that are pressed together, on their way. */
export interface Lot {
  /** Its pieces that have no verdict yet, in order. */
  pieces: number[];
  /** Number of its first piece, by which it is told from others. */
  first: number;
  /** `ready`: the stage waits for the hands. `closed`, `cooling`: its clock runs until `dueAt`. */
  phase: 'ready' | 'closed' | 'cooling';
  /** Index into the plan's stages. */
  stage: number;
  /** Whether it lies on the press. */
  onPress: boolean;
  /** When this stage was entered. */
  since: number;
  startedAt: number;
  dueAt: number | null;
  laidBack: number;
  closings: DoneClosing[];
  peels: DonePeel[];
  setC: number | null;
  setS: number | null;
  /** Read as the press closed on it, °C. */
  readC: number | null;
  /** What is kept of the closing that runs, beside its times; absent: nothing runs. */
  closing?: Pick<DoneClosing, 'setC' | 'band' | 'readings' | 'passedOver' | 'spot'>;
}

export interface RunState {
  active: Lot[];
  /** Pieces that have been taken in hand so far. */
  begun: number;
  results: PieceResult[];
  /** Lots that were still on their way when the run was stopped. */
  dropped: Lot[];
  done: boolean;
  stopped: boolean;
  /** When the last event happened; the run's start before that. */
  lastAt: number;
  pausedAt: number | null;
  style: Style | null;
  /** Set from now on, where that is not as carded. */
  setS: number | null;
  setC: number | null;
  /** Points of the set-up that were looked at, with what was read or counted. */
  checks: Record<string, number | null>;
  tries: { timeS: number; looks: TrialLooks }[];
  /** The scrap that is in the press, or came out of it and has not been looked at. */
  scrap: { timeS: number; dueAt: number } | null;
  notes: { piece: number; note: string }[];
  photos: { piece: number; photo: string }[];
  heat: PressHeat;
  /** What the other closings are set to from now on; of the full press the time and heat are `setS` and `setC`. */
  sets: Partial<Record<ChosenStage | 'press', StageSetting>>;
  /** Sheets and transfers lost while their blanks are still good. */
  lost: LostTransfer[];
  pace: Pace;
  /** Until when the hands are at a peel that was begun, ms; null: they are free. */
  handsUntil: number | null;
  /** Read since the last closing, kept with the next. */
  readings: Reading[];
  /** When the press was shut empty to warm the base, and opened again; null: it still is. */
  base: [from: number, to: number | null][];
}

export interface Counts {
  good: number;
  /** Pieces lost, blank and transfer. */
  spoiled: number;
  /** Sheets and transfers lost while their blanks are still good. */
  sheetsLost: number;
  transfersLost: number;

  /** Presses again after a lift, over all pieces. */
  again: number;
  left: number;
}

/** @param pace what is known of these hands from runs before */
export const startRun = (at: number, pace: Pace = { n: 0, sum: 0, squares: 0 }): RunState => ({
  active: [],
  begun: 0,
  results: [],
  dropped: [],
  done: false,
  stopped: false,
  lastAt: at,
  pausedAt: null,
  style: null,
  setS: null,
  setC: null,
  checks: {},
  tries: [],
  scrap: null,
  notes: [],
  photos: [],
  heat: { setC: null, turned: null, read: null, passedOver: false },
  sets: {},
  lost: [],
  pace,
  handsUntil: null,
  readings: [],
  base: [],
});
