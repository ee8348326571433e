/** A temperature survey, guided: instrument and setting, then one place after another, odd figures asked about at once. */

import { useEffect, useState } from 'react';
import { z } from 'zod';
import { coverageFault, type Place, type Press, platensOf } from '../../core/press';
import { formatQuantity, type HouseUnits, houseUnit, toInside } from '../../core/units';
import { didUndoably } from '../../ui/acts';
import { useDocForm } from '../../ui/docForm';
import { Fault } from '../../ui/Fault';
import { useUnits } from '../../ui/house';
import { NumberField } from '../../ui/NumberField';
import { newId } from '../../ui/newId';
import { QuantityField } from '../../ui/QuantityField';
import { Island, Pending, useRoute } from '../../ui/query';
import { recall, remember } from '../../ui/tabMemory';
import { useNarrow } from '../../ui/useNarrow';
import { goOnceKept } from '../shell/goTo';
import { FromDevice } from './FromDevice';
import { OddReading } from './OddReading';
import { SurveyPlan } from './SurveyPlan';
import { SurveySettings } from './SurveySettings';
import {
  draftFrom,
  instrumentFault,
  placesLeft,
  type Question,
  questionOf,
  refusedShowing,
  type SurveyDraft,
  surveyOf,
  withReading,
} from './surveyDraft';
import { useKeepRecord } from './useKeepRecord';

export function SurveyView({ pressId, platen }: { pressId: string; platen: string }) {
  return (
    <Island>
      <Page pressId={pressId} platen={platen} />
    </Island>
  );
}

function Page({ pressId, platen }: { pressId: string; platen: string }) {
  const { data, error } = useRoute('presses', {});
  const room = useRoute('house', {});
  const house = useUnits();
  if (!data || !room.data) return <Pending error={error ?? room.error} what="the press" />;
  const press = data.presses.find((press) => press.press.id === pressId)?.press;
  const sides = press && platensOf(press).find((candidate) => candidate.id === platen);
  if (!press || !sides)
    return (
      <p className="m-6 border-l-4 border-brick pl-4">
        There is no such platen. <a href="/presses">Back to the presses</a>
      </p>
    );
  return <Survey press={press} sides={sides} house={house} roomC={room.data.house.room.tempC} />;
}

interface SurveyProps {
  press: Press;
  sides: { id: string; name: string; widthMm: number; heightMm: number };
  house: HouseUnits;
  roomC: number;
}

const begun = (press: Press, platen: string, roomC: number, house: HouseUnits): SurveyDraft => ({
  id: newId(),
  platen,
  instrument: { kind: 'probe' },
  finish: press.finish ?? 'dark coated',
  roomC,
  setC: house.temperature === 'F' ? toInside(300, 'F') : 150,
  plan: 'five',
  free: [],
  readings: [],
});

/** What was read stays with the tab until it is kept: a survey takes ten minutes and a page is left in a moment. */
function useDraft(press: Press, platen: string, roomC: number, house: HouseUnits) {
  const place = `survey: ${press.id} ${platen}`;
  const [draft, setDraft] = useState(() => draftFrom(recall(place)) ?? begun(press, platen, roomC, house));
  useEffect(() => remember(place, draft.readings.length > 0 ? JSON.stringify(draft) : null), [draft, place]);
  /** Puts a draft back, on this page or for when it is opened again. */
  const restore = (before: SurveyDraft) => {
    remember(place, JSON.stringify(before));
    setDraft(before);
  };
  return { draft, setDraft, restore, drop: () => remember(place, null) };
}

const ReadingSchema = z.object({ readC: z.number('What does it read?') });
const UNREAD: { readC: number | null } = { readC: null };

function Survey({ press, sides, house, roomC }: SurveyProps) {
  const { draft, setDraft, restore, drop } = useDraft(press, sides.id, roomC, house);
  const reading = useDocForm<typeof UNREAD, z.infer<typeof ReadingSchema>>(ReadingSchema, UNREAD);
  const [question, setQuestion] = useState<Question | null>(null);
  const record = useKeepRecord(press.id);
  const left = placesLeft(draft, sides);
  const [next] = left;
  const showing = refusedShowing(draft);
  const wrong = instrumentFault(draft);
  const patch = (part: Partial<SurveyDraft>) => setDraft((now) => ({ ...now, ...part }));
  /** What the readings do not outlive sets them aside, and can be undone. */
  const anew = (part: Partial<SurveyDraft>) => {
    const before = draft;
    patch({ ...part, readings: [] });
    if (before.readings.length > 0)
      didUndoably({ what: `${before.readings.length} readings set aside`, undo: async () => restore(before) });
  };
  const begunReading = draft.readings.length > 0;
  const uncovered = coverageFault(draft.readings);
  const take = (readC: number) => {
    if (!next) return;
    const odd = questionOf(draft, next, readC);
    if (odd) return setQuestion(odd);
    keep(readC);
  };
  const keep = (readC: number) => {
    if (next) setDraft((now) => withReading(now, next, readC));
    reading.begin(UNREAD);
    setQuestion(null);
  };
  const narrow = useNarrow();
  const finish = async () => {
    if (await goOnceKept(record.save(surveyOf(draft)), `/presses?on=${press.id}`)) drop();
  };
  return (
    <div className="mx-auto grid max-w-[73.75rem] grid-cols-[minmax(0,1fr)_26rem] gap-8 px-5 pt-4 narrow:block narrow:px-4">
      <section aria-label="Survey">
        <h1 className="pb-1">
          Survey: {press.name}, {sides.name}
        </h1>
        <p className="border-l-4 border-amber pl-3">
          The platen is at cooking temperature and the press open: keep hands and sleeves off it, and hold the probe by its handle.
        </p>
        <SurveySettings press={press} draft={draft} house={house} onChange={patch} onAnew={anew} />
        {showing !== null ? (
          <p role="alert" className="border-l-4 border-brick pl-3 text-brick">
            An infrared gun cannot read bare metal: it mirrors the room. This platen at {formatQuantity(draft.setC, house.temperature)}{' '}
            would show about {formatQuantity(showing, house.temperature)}. Use a probe or strips, or measure on a dark coated sheet fixed to
            it.
          </p>
        ) : (
          next &&
          !wrong && (
            <form
              aria-label="Next reading"
              className="rule-top mt-2 grid grid-cols-[14rem_1fr] items-start gap-5 pt-3 narrow:block narrow:pb-3"
              onSubmit={reading.handle(({ readC }) => take(readC))}
            >
              <QuantityField
                key={draft.readings.length}
                label={`Place ${draft.readings.filter((reading) => reading.setC === draft.setC).length + 1}: reads`}
                kind="temperature"
                unit={houseUnit('temperature', house).first}
                house={house}
                value={reading.doc.readC}
                min={0}
                max={350}
                usual={{ low: 60, high: 260 }}
                onChange={(readC) => reading.patch({ readC })}
                problem={reading.fields.readC}
              />
              <div className="flex gap-3 pt-6 narrow:pt-0">
                <button type="submit" className="act act-main">
                  Add reading
                </button>
                {draft.readings.length > 0 && (
                  <button type="button" className="act act-quiet" onClick={() => patch({ readings: draft.readings.slice(0, -1) })}>
                    Undo last reading
                  </button>
                )}
              </div>
            </form>
          )
        )}
        {next && showing === null && !wrong && <FromDevice press={press} draft={draft} next={next} house={house} onTake={take} />}
        {question && (
          <OddReading
            question={question}
            house={house}
            onTake={keep}
            onAgain={() => {
              setQuestion(null);
              reading.begin(UNREAD);
            }}
          />
        )}
        {!next && draft.plan === 'free' && <FreePlace onPut={(place) => patch({ free: [...draft.free, place] })} />}
        {begunReading && !next && uncovered && <p className="border-l-4 border-amber pl-3">{uncovered}</p>}
        {begunReading && !next && !uncovered && (
          <div className="rule-top mt-3 flex flex-wrap items-center gap-3 pt-3">
            <button type="button" className="act act-main" onClick={() => void finish()}>
              Save the survey
            </button>
            <button type="button" className="act act-quiet" onClick={() => patch({ readings: draft.readings.slice(0, -1) })}>
              Undo last reading
            </button>
            <span className="label">For a second setting, change “Press set to”, let it settle, and go on.</span>
          </div>
        )}
        <Fault of={record.fault} className="mt-3 border-l-4 border-brick pl-3 text-brick" more="Your readings are still here." />
      </section>
      <SurveyPlan
        sides={sides}
        readings={draft.readings.filter((reading) => reading.setC === draft.setC)}
        left={left}
        house={house}
        width={Math.min(PLAN_PX, document.documentElement.clientWidth - (narrow ? 32 : 40))}
        onPut={draft.plan === 'free' ? (place) => patch({ free: [...draft.free, place] }) : null}
      />
    </div>
  );
}

/** Width of the plan of the platen, where there is room for it. */
const PLAN_PX = 416;

const PlaceSchema = z.object({ xMm: z.number(), yMm: z.number() });

/** A place put by its measures, for hands on the keyboard; a click on the drawing does the same. */
function FreePlace({ onPut }: { onPut: (place: Place) => void }) {
  const form = useDocForm(PlaceSchema, { xMm: 0, yMm: 0 });
  const { doc, patch } = form;
  return (
    <form onSubmit={form.handle(onPut)} aria-label="Next place" className="grid grid-cols-3 items-start gap-x-5 pt-3 narrow:grid-cols-2">
      <p className="col-span-3">Click on the platen where you will measure next, or say how far from its middle.</p>
      <NumberField label="To the right, mm" value={doc.xMm} onChange={(xMm) => patch({ xMm })} />
      <NumberField label="Towards you, mm" value={doc.yMm} onChange={(yMm) => patch({ yMm })} />
      <div className="pt-6">
        <button type="submit" className="act w-full">
          Add a place there
        </button>
      </div>
    </form>
  );
}
