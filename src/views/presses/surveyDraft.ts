/** A survey while it is being made: the plan of places, what was read, where the hand goes next. */
import {
  type Finish,
  type Instrument,
  InstrumentSchema,
  oddReading,
  PLANS,
  type Place,
  type SurveyReading,
  takeReading,
} from '../../core/press';

export interface SurveyDraft {
  id: string;
  platen: string;
  instrument: Instrument;
  finish: Finish;
  roomC: number;
  setC: number;
  plan: 'five' | 'nine' | 'free';
  /** Places chosen one by one when the plan is free. */
  free: Place[];
  readings: SurveyReading[];
}

/** Places still to be read at the setting in hand, in order. */
export function placesLeft(draft: SurveyDraft, sides: { widthMm: number; heightMm: number }): Place[] {
  const all = draft.plan === 'free' ? draft.free : PLANS[draft.plan](sides);
  const read = (place: Place) =>
    draft.readings.some((reading) => reading.setC === draft.setC && reading.xMm === place.xMm && reading.yMm === place.yMm);
  return all.filter((place) => !read(place));
}

/** What is odd about a figure for the next place, before it is taken. */
export type Question = { reading: SurveyReading; byK: number; kind: 'far from the setting' | 'unlike the others' };

export function questionOf(draft: SurveyDraft, place: Place, readC: number): Question | null {
  const reading = { ...place, setC: draft.setC, readC };
  const odd = oddReading(reading, draft.readings, draft.instrument);
  return odd && { reading, ...odd };
}

export const withReading = (draft: SurveyDraft, place: Place, readC: number): SurveyDraft => ({
  ...draft,
  readings: [...draft.readings, { ...place, setC: draft.setC, readC }],
});

/** What an infrared gun would show on bare metal, where one is about to be used there; null: the instrument can be used. */
export function refusedShowing({ instrument, finish, roomC, setC }: SurveyDraft): number | null {
  const taken = takeReading(setC, instrument, { finish, roomC, setC });
  return 'refused' in taken ? taken.wouldShowC : null;
}

/** The draft as a record, but for who made it and when. */
export const surveyOf = ({ id, platen, instrument, finish, roomC, readings }: SurveyDraft) =>
  ({ id, kind: 'survey', platen, instrument, finish, roomC, readings }) as const;

/** What cannot be about the instrument as it is set; null: nothing. */
export const instrumentFault = ({ instrument }: Pick<SurveyDraft, 'instrument'>): string | null =>
  InstrumentSchema.safeParse(instrument).error?.issues[0]?.message ?? null;

/** A draft the tab remembers; what cannot be read counts as none. */
export function draftFrom(text: string | null): SurveyDraft | null {
  if (text === null) return null;
  try {
    return JSON.parse(text) as SurveyDraft;
  } catch {
    return null;
  }
}
