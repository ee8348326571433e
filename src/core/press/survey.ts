/** A survey: one platen measured at some places and settings with one instrument, at one time. */
import { z } from 'zod';
import { Id, Initials, SetTemp, Words } from '../materials';
import { FINISHES, type Instrument, InstrumentSchema, takeReading } from './instrument';
import { instrumentError } from './instrumentError';
import type { Place, PlatenReading } from './platenFit';

export const ReadingSchema = z.object({
  /** From the platen’s middle, mm: x to the right, y towards the operator. */
  xMm: z.number().min(-1000).max(1000),
  yMm: z.number().min(-1000).max(1000),
  setC: SetTemp,
  /** What the instrument showed, °C. */
  readC: z.number().min(0, 'A hot platen does not read under 0 °C.').max(350, 'A reading over 350 °C is a fault.'),
});
export type SurveyReading = z.infer<typeof ReadingSchema>;

/** How a platen was measured, whether for a map or to look whether it still is as it was. */
const measured = {
  id: Id,
  pressId: Id,
  /** `upper`, `lower`, or the id of a platen that is put in. */
  platen: z.string().min(1).max(64),
  /** Instant it was finished, ms, UTC. */
  at: z.number().int().positive(),
  by: Initials,
  instrument: InstrumentSchema,
  finish: z.enum(FINISHES),
  roomC: z.number().min(-10, 'Colder than −10 °C is no press room.').max(50, 'Hotter than 50 °C is no press room.'),
  note: Words,
};

/** An infrared gun cannot be used on bare metal. */
function mustBeSeen({ instrument, finish }: { instrument: Instrument; finish: (typeof FINISHES)[number] }, ctx: z.RefinementCtx): void {
  if (instrument.kind === 'infrared' && finish === 'bare metal')
    ctx.addIssue({
      code: 'custom',
      path: ['instrument'],
      message: 'Bare metal mirrors the room: an infrared gun shows little more than that. Use a probe or strips, or a dark coated spot.',
    });
}

/** Readings of a quick check at most. */
export const MOST_CHECKED = 5;

/** One to five places in a minute: no map, but a look at whether the press still is what its last survey found. */
export const QuickCheckSchema = z
  .object({
    ...measured,
    kind: z.literal('quick check'),
    readings: z
      .array(ReadingSchema)
      .min(1, 'A quick check needs a reading.')
      .max(MOST_CHECKED, `More than ${MOST_CHECKED} places are a survey: make a map of them.`),
  })
  .superRefine(mustBeSeen);
export type QuickCheck = z.infer<typeof QuickCheckSchema>;

export const SurveySchema = z
  .object({
    ...measured,
    kind: z.literal('survey'),
    readings: z.array(ReadingSchema).min(1, 'A survey needs readings.').max(200, 'Keep a survey to 200 readings.'),
  })
  .superRefine((survey, ctx) => {
    mustBeSeen(survey, ctx);
    const fault = coverageFault(survey.readings);
    if (fault) ctx.addIssue({ code: 'custom', path: ['readings'], message: fault });
  });
export type Survey = z.infer<typeof SurveySchema>;

const LEAST_PLACES = 4;
/** Places count as one line when none is further from it than this share of their extent. */
const LINE_SHARE = 0.1;

const placesOf = (readings: readonly Place[]): Place[] => [
  ...new Map(readings.map((reading) => [`${reading.xMm} ${reading.yMm}`, reading])).values(),
];

/** Why the places measured make no map; null when they do. */
export function coverageFault(readings: readonly Place[]): string | null {
  const places = placesOf(readings);
  if (places.length < LEAST_PLACES)
    return `${places.length === 1 ? 'One place makes' : `${places.length} places make`} no map: measure at least the four corners or ${LEAST_PLACES} places apart.`;
  const [first] = places;
  if (!first) return null;
  const far = places.reduce((a, b) =>
    Math.hypot(b.xMm - first.xMm, b.yMm - first.yMm) > Math.hypot(a.xMm - first.xMm, a.yMm - first.yMm) ? b : a,
  );
  const [dx, dy] = [far.xMm - first.xMm, far.yMm - first.yMm];
  const length = Math.hypot(dx, dy);
  const off = Math.max(...places.map((place) => Math.abs((place.xMm - first.xMm) * dy - (place.yMm - first.yMm) * dx) / length));
  return off < LINE_SHARE * length ? 'All the places lie on one line: measure to both sides of it too.' : null;
}

/** The survey’s readings as surfaces; those that cannot be taken are left out. */
export function readingsOf({
  readings,
  instrument,
  finish,
  roomC,
}: Pick<Survey, 'readings' | 'instrument' | 'finish' | 'roomC'>): PlatenReading[] {
  return readings.flatMap(({ readC, ...place }) => {
    const taken = takeReading(readC, instrument, { finish, roomC, setC: place.setC });
    return 'surfaceC' in taken ? [{ ...place, surfaceC: taken.surfaceC }] : [];
  });
}

/** Beyond this from the setting a reading is asked about, K. */
const FAR_OFF_K = 25;
/** Beyond this from the other places a reading is asked about, K; a gun and a strip scatter more. */
const OUTLIER_SD = 6;
const UNEVEN_K = 8;

/** What is odd about a new reading, to be asked about at once; null: nothing. */
export function oddReading(
  reading: SurveyReading,
  before: readonly SurveyReading[],
  instrument: Instrument,
): { kind: 'far from the setting' | 'unlike the others'; byK: number } | null {
  const off = reading.readC - reading.setC;
  const others = before.filter((otherReading) => otherReading.setC === reading.setC).map((reading) => reading.readC - reading.setC);
  if (others.length >= 2) {
    const sorted = [...others].sort((a, b) => a - b);
    const middle = sorted[Math.floor(sorted.length / 2)] as number;
    const byK = off - middle;
    const usual = UNEVEN_K + OUTLIER_SD * instrumentError(instrument).scatterK;
    return Math.abs(byK) > usual ? { kind: 'unlike the others', byK } : null;
  }
  return Math.abs(off) > FAR_OFF_K ? { kind: 'far from the setting', byK: off } : null;
}

/** A platen that is still moving is not read: more than this within the last half minute, K. */
const SETTLED_K = 1.5;
const SETTLED_OVER_MS = 30_000;

/** Whether a readout has come to rest. @param history readouts in order of time */
export function isSettled(history: readonly { at: number; readC: number }[], now: number): boolean {
  const recent = history.filter(({ at }) => at > now - SETTLED_OVER_MS);
  const [first] = history;
  if (!first || first.at > now - SETTLED_OVER_MS || recent.length === 0) return false;
  const values = recent.map(({ readC }) => readC);
  return Math.max(...values) - Math.min(...values) <= SETTLED_K;
}

/** Places to measure, as shares of half the platen’s sides; corners stand a hand’s breadth in from the rim. */
const RIM = 0.8;
const plan =
  (shares: readonly (readonly [number, number])[]) =>
  (platen: { widthMm: number; heightMm: number }): Place[] =>
    shares.map(([x, y]) => ({ xMm: Math.round((x * RIM * platen.widthMm) / 2), yMm: Math.round((y * RIM * platen.heightMm) / 2) }));

/** Usual plans of places, in the order a hand goes round them. */
export const PLANS = {
  five: plan([
    [0, 0],
    [-1, -1],
    [1, -1],
    [1, 1],
    [-1, 1],
  ]),
  nine: plan([
    [-1, -1],
    [0, -1],
    [1, -1],
    [1, 0],
    [0, 0],
    [-1, 0],
    [-1, 1],
    [0, 1],
    [1, 1],
  ]),
} as const;
