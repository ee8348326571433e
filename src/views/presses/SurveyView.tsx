/** A temperature survey, guided: instrument and setting, then one place after another, odd figures asked about at once. */
import { useEffect, useState } from 'react';
import { call } from '../../contract';
import { coverageFault, FINISHES, type Finish, type Instrument, type Place, type Press, platensOf } from '../../core/press';
import { formatForHouse, formatQuantity, type HouseUnits, houseUnit, toInside } from '../../core/units';
import { ChoiceField } from '../../ui/Field';
import { useUnits } from '../../ui/house';
import { NumberField } from '../../ui/NumberField';
import { newId } from '../../ui/newId';
import { useOperator } from '../../ui/operator';
import { QuantityField } from '../../ui/QuantityField';
import { errorWords, Island, Pending, refresh, useRoute } from '../../ui/query';
import { goTo } from '../shell/goTo';
import { SurveyPlan } from './SurveyPlan';
import { placesLeft, type Question, questionOf, refusedShowing, type SurveyDraft, surveyOf, withReading } from './surveyDraft';

export function SurveyView({ pressId, platen }: { pressId: string; platen: string }) {
  return (
    <Island>
      <Page pressId={pressId} platen={platen} />
    </Island>
  );
}

const PLANS = [
  { value: 'five', text: 'five' },
  { value: 'nine', text: 'nine' },
  { value: 'free', text: 'my own' },
] as const;
const INSTRUMENTS = [
  { value: 'probe', text: 'contact probe' },
  { value: 'strip', text: 'pressed colour strips' },
  { value: 'infrared', text: 'infrared gun' },
] as const;

const instrumentFor = (kind: Instrument['kind']): Instrument =>
  kind === 'probe' ? { kind } : kind === 'strip' ? { kind, stepK: 6 } : { kind, emissivitySet: 0.95 };

function Page({ pressId, platen }: { pressId: string; platen: string }) {
  const { data, error } = useRoute('presses', {});
  const room = useRoute('house', {});
  const house = useUnits();
  if (!data || !room.data) return <Pending error={error ?? room.error} what="the press" />;
  const press = data.presses.find((one) => one.press.id === pressId)?.press;
  const sides = press && platensOf(press).find((one) => one.id === platen);
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
  const [draft, setDraft] = useState<SurveyDraft>(() => {
    try {
      return (JSON.parse(sessionStorage.getItem(place) ?? 'null') as SurveyDraft | null) ?? begun(press, platen, roomC, house);
    } catch {
      return begun(press, platen, roomC, house);
    }
  });
  useEffect(() => {
    if (draft.readings.length > 0) sessionStorage.setItem(place, JSON.stringify(draft));
    else sessionStorage.removeItem(place);
  }, [draft, place]);
  return [draft, setDraft, () => sessionStorage.removeItem(place)] as const;
}

function Survey({ press, sides, house, roomC }: SurveyProps) {
  const [draft, setDraft, drop] = useDraft(press, sides.id, roomC, house);
  const [typed, setTyped] = useState<number | null>(null);
  const [question, setQuestion] = useState<Question | null>(null);
  const [fault, setFault] = useState<string | null>(null);
  const [operator] = useOperator();
  const left = placesLeft(draft, sides);
  const [next] = left;
  const showing = refusedShowing(draft);
  const patch = (part: Partial<SurveyDraft>) => setDraft((now) => ({ ...now, ...part }));
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
    setTyped(null);
    setQuestion(null);
  };
  const finish = async () => {
    const survey = surveyOf(draft, press.id, Date.now(), operator);
    try {
      await call('putPressRecord', { params: { id: press.id, recordId: survey.id }, body: survey });
      await refresh('pressReport', 'orderCards', 'order', 'bench', 'rail');
      drop();
      goTo(`/presses?on=${press.id}`);
    } catch (error) {
      setFault(errorWords(error));
    }
  };
  return (
    <div className="mx-auto grid max-w-[1180px] grid-cols-[1fr_26rem] gap-8 px-5 pt-4">
      <section aria-label="Survey">
        <h1 className="pb-1">
          Survey: {press.name}, {sides.name}
        </h1>
        <p className="border-l-4 border-amber pl-3">
          The platen is at cooking temperature and the press open: keep hands and sleeves off it, and hold the probe by its handle.
        </p>
        <div className="grid grid-cols-3 gap-x-5 pt-3">
          <ChoiceField
            label="Measured with"
            value={draft.instrument.kind}
            options={INSTRUMENTS}
            onChange={(kind) => patch({ instrument: instrumentFor(kind), readings: [] })}
            {...(begunReading && { hint: 'Another instrument begins anew' })}
          />
          {draft.instrument.kind === 'strip' && (
            <QuantityField
              label="Its steps"
              kind="temperatureDifference"
              unit={house.temperature === 'F' ? 'dF' : 'dC'}
              house={house}
              decimals={1}
              value={draft.instrument.stepK}
              min={1}
              max={30}
              onChange={(stepK) => stepK !== null && patch({ instrument: { kind: 'strip', stepK } })}
            />
          )}
          {draft.instrument.kind === 'infrared' && (
            <NumberField
              label="Emissivity it is set to"
              value={draft.instrument.emissivitySet}
              onChange={(emissivitySet) => patch({ instrument: { kind: 'infrared', emissivitySet } })}
            />
          )}
          <ChoiceField<Finish>
            label="The platen’s face is"
            value={draft.finish}
            options={FINISHES.map((value) => ({ value, text: value }))}
            onChange={(face) => patch({ finish: face })}
          />
          <ChoiceField
            label="Places"
            value={draft.plan}
            options={PLANS}
            onChange={(plan) => patch({ plan, ...(plan !== draft.plan && { readings: [] }) })}
          />
          <QuantityField
            label="Press set to"
            kind="temperature"
            unit={press.set.unit}
            house={house}
            value={draft.setC}
            min={press.set.minC}
            max={press.set.maxC}
            onChange={(setC) => setC !== null && patch({ setC })}
          />
        </div>
        {showing !== null ? (
          <p role="alert" className="border-l-4 border-brick pl-3 text-brick">
            An infrared gun cannot read bare metal: it mirrors the room. This platen at {formatQuantity(draft.setC, house.temperature)}{' '}
            would show about {formatQuantity(showing, house.temperature)}. Use a probe or strips, or measure on a dark coated sheet fixed to
            it.
          </p>
        ) : (
          next && (
            <form
              aria-label="Next reading"
              className="rule-top mt-2 grid grid-cols-[14rem_1fr] items-start gap-5 pt-3"
              onSubmit={(event) => {
                event.preventDefault();
                if (typed !== null) take(typed);
              }}
            >
              <QuantityField
                key={draft.readings.length}
                label={`Place ${draft.readings.filter((one) => one.setC === draft.setC).length + 1}: reads`}
                kind="temperature"
                unit={houseUnit('temperature', house).first}
                house={house}
                value={typed}
                min={0}
                max={350}
                usual={{ low: 60, high: 260 }}
                onChange={setTyped}
              />
              <div className="flex gap-3 pt-6">
                <button type="submit" className="act act-main" disabled={typed === null}>
                  Take it
                </button>
                {draft.readings.length > 0 && (
                  <button type="button" className="act act-quiet" onClick={() => patch({ readings: draft.readings.slice(0, -1) })}>
                    Take the last one back
                  </button>
                )}
              </div>
            </form>
          )
        )}
        {next && showing === null && <FromDevice press={press} draft={draft} next={next} house={house} onTake={take} />}
        {question && (
          <div role="alert" className="border-l-4 border-amber bg-sheet px-4 py-3">
            <p>
              {question.kind === 'far from the setting'
                ? `That is ${formatForHouse('temperatureDifference', Math.abs(question.byK), house, 0)} ${question.byK < 0 ? 'under' : 'over'} the setting.`
                : `That is ${formatForHouse('temperatureDifference', Math.abs(question.byK), house, 0)} ${question.byK < 0 ? 'under' : 'over'} the other places.`}{' '}
              Has the press settled, and does the probe lie flat?
            </p>
            <div className="flex gap-3 pt-2">
              <button type="button" className="act" onClick={() => keep(question.reading.readC)}>
                It is so: take it
              </button>
              <button
                type="button"
                className="act act-quiet"
                onClick={() => {
                  setQuestion(null);
                  setTyped(null);
                }}
              >
                Read it again
              </button>
            </div>
          </div>
        )}
        {!next && draft.plan === 'free' && <FreePlace onPut={(place) => patch({ free: [...draft.free, place] })} />}
        {begunReading && !next && uncovered && <p className="border-l-4 border-amber pl-3">{uncovered}</p>}
        {begunReading && !next && !uncovered && (
          <div className="rule-top mt-3 flex flex-wrap items-center gap-3 pt-3">
            <button type="button" className="act act-main" onClick={() => void finish()}>
              Keep the survey
            </button>
            <button type="button" className="act act-quiet" onClick={() => patch({ readings: draft.readings.slice(0, -1) })}>
              Take the last one back
            </button>
            <span className="label">For a second setting, change “Press set to”, let it settle, and go on.</span>
          </div>
        )}
        {fault && (
          <p role="alert" className="mt-3 border-l-4 border-brick pl-3 text-brick">
            {fault} Your readings are still here.
          </p>
        )}
      </section>
      <SurveyPlan
        sides={sides}
        readings={draft.readings.filter((one) => one.setC === draft.setC)}
        left={left}
        house={house}
        width={416}
        onPut={draft.plan === 'free' ? (place) => patch({ free: [...draft.free, place] }) : null}
      />
    </div>
  );
}

/** A place put by its measures, for hands on the keyboard; a click on the drawing does the same. */
function FreePlace({ onPut }: { onPut: (place: Place) => void }) {
  const [xMm, setX] = useState(0);
  const [yMm, setY] = useState(0);
  return (
    <div className="grid grid-cols-3 items-start gap-x-5 pt-3">
      <p className="col-span-3">Click on the platen where you will measure next, or say how far from its middle.</p>
      <NumberField label="To the right, mm" value={xMm} onChange={setX} />
      <NumberField label="Towards you, mm" value={yMm} onChange={setY} />
      <div className="pt-6">
        <button type="button" className="act w-full" onClick={() => onPut({ xMm, yMm })}>
          Put a place there
        </button>
      </div>
    </div>
  );
}

/** Readings as devices give them: offered once they have come to rest, never taken by themselves. */
function FromDevice({
  press,
  draft,
  next,
  house,
  onTake,
}: {
  press: Press;
  draft: SurveyDraft;
  next: Place;
  house: HouseUnits;
  onTake: (readC: number) => void;
}) {
  const { data } = useRoute('devices', {});
  const kind = draft.instrument.kind === 'infrared' ? 'gun' : 'probe';
  const mine = draft.instrument.kind === 'strip' ? [] : (data?.devices.filter((one) => one.kind === kind) ?? []);
  const simulated = mine.some((one) => one.simulated);
  // a reading of the place before is not the next one’s: the hand needs a moment to get there
  const [there, setThere] = useState(false);
  useEffect(() => {
    setThere(false);
    const arrives = setTimeout(() => setThere(true), 1500);
    return () => clearTimeout(arrives);
  }, [next.xMm, next.yMm, draft.setC]);
  useEffect(() => {
    if (!simulated) return;
    // the stand-in’s hand goes to the place that is lit; a press it does not play is left alone
    call('putHand', { body: { pressId: press.id, xMm: next.xMm, yMm: next.yMm, setC: draft.setC } }).catch(() => undefined);
  }, [simulated, press.id, next.xMm, next.yMm, draft.setC]);
  const readout = data?.devices.find((one) => one.press?.pressId === press.id)?.press;
  return (
    <>
      {readout && readout.state !== 'ready' && (
        <p className="border-l-4 border-amber pl-3">
          {press.name} is {readout.state} at {formatQuantity(readout.readoutC, press.set.unit)}: wait until it has settled, or the map is of
          a press on the move.
        </p>
      )}
      {mine.map((one) => (
        <p key={one.device} className="flex items-center gap-4 py-1" data-device={one.device}>
          {one.reading ? (
            <>
              <button
                type="button"
                className="act"
                disabled={!one.reading.steady || !there}
                onClick={() => one.reading && onTake(one.reading.readC)}
              >
                Take it from {one.device}
              </button>
              <span className="figure text-xl">{formatQuantity(one.reading.readC, houseUnit('temperature', house).first, 1)}</span>
              <span className="label">
                {one.reading.steady ? 'at rest' : 'still moving'}
                {one.simulated ? ', simulated' : ''}
              </span>
            </>
          ) : (
            <span className="text-brick">
              {one.device}:{' '}
              {one.state === 'silent'
                ? 'says nothing'
                : one.state === 'clock jumped'
                  ? 'its clock jumped'
                  : `sends nonsense (${one.fault})`}
              . Read it by hand.
            </span>
          )}
        </p>
      ))}
    </>
  );
}
