/** Practice: the app deals a situation from the shop's own shelf; settings and the moment to peel are played, and what came of it is shown. */
import { useEffect, useRef, useState } from 'react';
import { z } from 'zod';
import { call, type Reply } from '../../contract';
import { type BenchStack, deal, MISTAKES, type Mistake, type Outcome, type Played, SITUATIONS } from '../../core/advice';
import { isHard } from '../../core/materials';
import { formatDuration, formatForHouse, type HouseUnits } from '../../core/units';
import { useDocForm } from '../../ui/docForm';
import { useUnits } from '../../ui/house';
import { newId } from '../../ui/newId';
import { useOperator } from '../../ui/operator';
import { QuantityField } from '../../ui/QuantityField';
import { errorWords, Pending, useRoute } from '../../ui/query';
import { Says } from '../../ui/Says';
import { write } from '../../ui/write';
import { heatWorker, WorkerDied } from '../../workers/heat';
import { HeatChart } from './HeatChart';
import { limitsOf } from './variant';

type Scores = Reply<'practice'>['scores'];
interface Round {
  situationId: string;
  stack: BenchStack;
}
type Shelf = Reply<'shelf'>;
type Presses = Reply<'presses'>['presses'];

/** Combinations of the shelf that a press may meet: soft goods with a transfer made for them. */
function combinations(shelf: Shelf, presses: Presses): { blank: string; product: string; press: string }[] {
  const own = presses.map(({ press }) => press).filter((press) => !press.retiredOn && press.kind !== 'iron' && press.kind !== 'hand press');
  return shelf.blanks.flatMap((blank) => {
    const fabric = shelf.fabrics.find((fabric) => fabric.id === blank.fabricId);
    const press = own.find((press) => (press.kind === 'cap') === (blank.kind === 'cap'));
    if (!fabric || !press || blank.retiredOn || isHard(fabric)) return [];
    return shelf.products
      .filter((product) => !product.retiredOn && product.substrates.includes(fabric.substrate))
      .map((product) => ({ blank: blank.id, product: product.id, press: press.id }));
  });
}

/** Deals one: the stack is fetched as its card has it. */
async function dealFrom(shelf: Shelf, presses: Presses, missed: Partial<Record<Mistake, number>>): Promise<Round | null> {
  const all = combinations(shelf, presses);
  const picked = all[Math.floor(Math.random() * all.length)];
  if (!picked) return null;
  const { stack } = await call('shelfHeat', { query: picked });
  const dealt = deal([stack], missed, [Math.random(), 0]);
  return dealt && { situationId: dealt.situation.id, stack };
}

export function Practice() {
  const house = useUnits();
  const shelf = useRoute('shelf', {});
  const presses = useRoute('presses', {});
  const scores = useRoute('practice', {});
  const operators = useRoute('house', {}).data?.house.operators ?? [];
  const [operator, setOperator] = useOperator();
  const [round, setRound] = useState<Round | null>(null);
  const [fault, setFault] = useState<string | null>(null);
  if (!shelf.data || !presses.data || !scores.data)
    return <Pending error={shelf.error ?? presses.error ?? scores.error} what="the shelf" />;
  const { data: all } = scores;
  const own = all.scores.find((score) => score.operator === operator);
  const next = async () => {
    setFault(null);
    try {
      const dealt = await dealFrom(shelf.data, presses.data.presses, own?.mistakes ?? {});
      setRound(dealt);
      if (!dealt) setFault('The shelf has no soft blank with a transfer made for it. Put one of each on the shelf first.');
    } catch (error) {
      setFault(errorWords(error));
    }
  };
  return (
    <div className="px-5 pt-3">
      <div className="flex flex-wrap items-end justify-between gap-3">
        <div>
          <h1>Practice</h1>
          <p className="max-w-prose text-soft">A piece from your own shelf, a situation, and your setting. No cloth is spoiled.</p>
        </div>
        <div className="flex flex-wrap items-center gap-3">
          {operators.length > 0 && (
            <select
              aria-label="Played by"
              className="entry w-28"
              value={operators.includes(operator) ? operator : ''}
              onChange={(event) => setOperator(event.target.value)}
            >
              <option value="">by …</option>
              {operators.map((operator) => (
                <option key={operator}>{operator}</option>
              ))}
            </select>
          )}
          <a className="act act-quiet underline" href="/heat-bench">
            Back to the bench
          </a>
          <button type="button" className={`act ${round ? '' : 'act-main'}`} onClick={() => void next()}>
            {round ? 'Next piece' : 'New piece'}
          </button>
        </div>
      </div>
      {fault && (
        <p role="alert" className="mt-3 border-l-4 border-brick pl-3 text-brick">
          {fault}
        </p>
      )}
      <div className="grid grid-cols-[1fr_16rem] gap-8 pt-4 narrow:block">
        {round ? (
          <Game
            key={JSON.stringify([round.situationId, round.stack.blankName, round.stack.productName])}
            round={round}
            house={house}
            operator={operator}
            onNext={next}
          />
        ) : (
          <p className="label max-w-prose">
            You get a piece and what is special about it today. You choose set value, time and pre-press, and the moment to peel. Then you
            see what happened at the glue, and why. What you miss comes more often.
          </p>
        )}
        <ScoreTable scores={all.scores} />
      </div>
    </div>
  );
}

const SettingSchema = z.object({ setC: z.number(), timeS: z.number(), prePressS: z.number() });

type Step = { kind: 'set' } | { kind: 'peel' } | { kind: 'played' } | { kind: 'seen'; outcome: Outcome };

function Game({ round, house, operator, onNext }: { round: Round; house: HouseUnits; operator: string; onNext: () => Promise<void> }) {
  const { stack } = round;
  const situation = SITUATIONS.find(({ id }) => id === round.situationId);
  const form = useDocForm<Omit<Played, 'peelS'>>(SettingSchema, { setC: stack.press.minC, timeS: stack.allowed.timeS.min, prePressS: 0 });
  const [step, setStep] = useState<Step>({ kind: 'set' });
  const [fault, setFault] = useState<string | null>(null);
  const finish = async (peelS: number) => {
    // played once, however often the button is hit
    setStep({ kind: 'played' });
    try {
      const outcome = await heatWorker.query((api) => api.play({ situationId: round.situationId, stack }, { ...form.doc, peelS }));
      setStep({ kind: 'seen', outcome });
      await write('putPractice', {
        params: { id: newId() },
        body: { operator, situation: round.situationId, mistakes: outcome.mistakes, score: outcome.score, at: Date.now() },
      });
    } catch (error) {
      setFault(error instanceof WorkerDied ? error.message : errorWords(error));
    }
  };
  const { allowed, nominal } = stack;
  const cloth = stack.query.piece.stack.find(({ role }) => role === 'fabric');
  const { unit, minC, maxC } = stack.press;
  const fields = [
    { key: 'setC', label: 'Set to', kind: 'temperature', unit, min: minC, max: maxC },
    { key: 'timeS', label: 'Time', kind: 'duration', unit: 's', min: 1, max: 600 },
    { key: 'prePressS', label: 'Pre-press', kind: 'duration', unit: 's', min: 0, max: 120 },
  ] as const;
  return (
    <div className="min-w-0">
      <p className="text-xl font-bold">{situation?.says}</p>
      <p className="pt-1 pb-3">
        <span className="font-semibold">{stack.blankName}</span>, {cloth?.name} · {stack.productName} · {stack.press.name}. Its sheet says{' '}
        {formatForHouse('temperature', allowed.surfaceC.min, house)} to {formatForHouse('temperature', allowed.surfaceC.max, house)},{' '}
        {formatDuration(allowed.timeS.min)} to {formatDuration(allowed.timeS.max)}, nominal {formatDuration(nominal.timeS)}; peel{' '}
        {stack.peel}.
      </p>
      {step.kind === 'set' && (
        <form
          className="grid max-w-[40rem] grid-cols-3 items-start gap-x-4"
          aria-label="Your setting"
          onSubmit={form.handle(() => (stack.peel === 'none' ? finish(0) : setStep({ kind: 'peel' })))}
        >
          {fields.map(({ key, ...field }) => (
            <QuantityField
              key={key}
              {...field}
              house={house}
              value={form.doc[key]}
              onChange={(value) => value !== null && form.patch({ [key]: value })}
            />
          ))}
          <button type="submit" className="act act-main col-span-2">
            Press it
          </button>
        </form>
      )}
      {step.kind === 'peel' && <PeelClock peel={stack.peel} onPeel={(s) => void finish(s)} />}
      {step.kind === 'played' && !fault && <p className="label">Calculating …</p>}
      {fault && (
        <p role="alert" className="text-brick">
          {fault}
        </p>
      )}
      {step.kind === 'seen' && (
        <section aria-label="What came of it" aria-live="polite">
          <div className="flex items-center gap-5 pb-2">
            <span className="figure font-bold" style={{ fontSize: 58, lineHeight: 1 }}>
              {step.outcome.score}
            </span>
            <span>
              <span className="block text-xl font-bold">
                {step.outcome.mistakes.length === 0
                  ? 'A good piece.'
                  : step.outcome.mistakes.join(', ').replace(/^./, (letter) => letter.toUpperCase())}
              </span>
              <span className="label">of 100</span>
            </span>
            <button type="button" className="act act-main ml-auto" onClick={() => void onNext()}>
              Next piece
            </button>
          </div>
          <ul className="max-w-prose pb-2">
            {step.outcome.says.map((words, i) => (
              <li key={i} className="py-0.5">
                <Says words={words} />
              </li>
            ))}
            {step.outcome.mistakes.some((mistake) => mistake === 'too little' || mistake === 'too much') && (
              <li className="py-0.5">
                At this temperature {formatDuration(step.outcome.better.timeS)} would have given a bond of{' '}
                {step.outcome.better.bond.toFixed(2)}.
              </li>
            )}
          </ul>
          <HeatChart seen={step.outcome.seen} limits={limitsOf(stack.query)} house={house} afterS={90} />
        </section>
      )}
    </div>
  );
}

/** A cooling clock runs this much faster where the wait is long. */
const FAST = 10;

function PeelClock({ peel, onPeel }: { peel: BenchStack['peel']; onPeel: (seconds: number) => void }) {
  const speed = peel === 'hot' ? 1 : FAST;
  const [start] = useState(() => performance.now());
  const [now, setNow] = useState(0);
  const button = useRef<HTMLButtonElement>(null);
  useEffect(() => {
    button.current?.focus();
    const tick = setInterval(() => setNow(((performance.now() - start) / 1000) * speed), 100);
    return () => clearInterval(tick);
  }, [start, speed]);
  return (
    <div className="flex items-center gap-6">
      <span className="figure font-bold" style={{ fontSize: 72, lineHeight: 1 }} role="timer" aria-label="Since opening">
        {formatDuration(Math.floor(now))}
      </span>
      <span className="label">since it opened{speed > 1 ? `; this clock runs ${speed} times as fast` : ''}</span>
      <button
        ref={button}
        type="button"
        className="act act-main text-xl"
        style={{ minHeight: 72, padding: '0 2rem' }}
        onClick={() => onPeel(Math.max(0.5, ((performance.now() - start) / 1000) * speed))}
      >
        Peel now
      </button>
    </div>
  );
}

function ScoreTable({ scores }: { scores: Scores }) {
  if (scores.length === 0) return <p className="label">No rounds played yet.</p>;
  return (
    <section aria-label="Scores">
      <h2 className="pb-1">So far</h2>
      {scores.map(({ operator, rounds, meanScore, mistakes }) => (
        <div key={operator} className="rule-top py-2">
          <p>
            <span className="font-semibold">{operator || 'no initials'}</span>:{' '}
            <span className="figure font-semibold">{Math.round(meanScore)}</span> on average, <span className="figure">{rounds}</span>{' '}
            {rounds === 1 ? 'round' : 'rounds'}
          </p>
          <ul className="label">
            {MISTAKES.filter((kind) => mistakes[kind] > 0).map((kind) => (
              <li key={kind}>
                {kind}: <span className="figure">{mistakes[kind]}</span>
              </li>
            ))}
          </ul>
        </div>
      ))}
    </section>
  );
}
