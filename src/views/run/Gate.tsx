/** The set-up gate: before the first closing, one point after the other, each with what to look for. */
import { useEffect, useRef, useState } from 'react';
import type { Card } from '../../core/card';
import { type Check, firstHeat, REST, type RunFact, type RunPlan, type RunState, settled } from '../../core/run';
import { formatQuantity, parseQuantity } from '../../core/units';
import { serverNow } from '../../ui/clock';
import { Says } from '../../ui/Says';
import { useRunKeys } from './useRunKeys';
import { Warming } from './Warming';

interface GateProps {
  card: Card;
  checks: Check[];
  plan: RunPlan;
  run: RunState;
  current: Check;
  /** What a device tells of the platen, °C; null: none does. */
  readoutC: number | null;
  lacks: string[];
  onFact: (fact: RunFact) => void;
}

export function Gate({ card, checks, plan, run, current, readoutC, lacks, onFact }: GateProps) {
  const looked = run.checks;
  return (
    <section className="grid flex-1 grid-cols-[19rem_1fr] gap-10 py-5 max-[56.25rem]:grid-cols-1" aria-label="Before the first closing">
      <div className="text-lg max-[56.25rem]:order-1">
        <ol className="m-0 list-none p-0 max-[56.25rem]:hidden">
          {checks
            .filter(({ holds }) => !holds)
            .map(({ key, says }) => (
              <li
                key={key}
                aria-current={key === current.key ? 'step' : undefined}
                className={`flex gap-3 border-l-4 py-1.5 pl-3 ${key === current.key ? 'border-amber text-white' : 'border-night-line text-night-soft'}`}
              >
                <span aria-hidden="true" className="w-5 shrink-0">
                  {key in looked ? '✓' : ''}
                </span>
                <span>
                  <Says words={says} />
                  {key in looked && <span className="sr-only">, looked at</span>}
                </span>
              </li>
            ))}
        </ol>
        <Passed checks={checks.filter(({ holds }) => holds)} />
      </div>
      <Point key={current.key} card={card} plan={plan} run={run} check={current} readoutC={readoutC} onFact={onFact} lacks={lacks} />
    </section>
  );
}

/** What is not asked again. */
function Passed({ checks }: { checks: Check[] }) {
  if (checks.length === 0) return null;
  return (
    <section aria-labelledby="held" className="pt-6 pl-4 text-base text-night-soft">
      <h2 id="held">Holds from the run before</h2>
      <ul className="m-0 list-none p-0 pt-1">
        {checks.map(({ key, says }) => (
          <li key={key} className="py-0.5">
            <Says words={says} />
          </li>
        ))}
      </ul>
    </section>
  );
}

type PointProps = Omit<GateProps, 'checks' | 'current'> & { check: Check };

function Point({ card, plan, run, check, readoutC, lacks, onFact }: PointProps) {
  const { unit } = card.window.settable;
  const [typed, setTyped] = useState('');
  const [word, setWord] = useState<string | null>(null);
  const field = useRef<HTMLInputElement>(null);
  const { input } = check;
  useEffect(() => field.current?.focus(), []);
  const done = (found?: number) => onFact({ kind: 'checked', check: check.key, ...(found !== undefined && { found }) });
  const shutSince = input === 'clock' ? run.base.find(([, to]) => to === null)?.[0] : undefined;
  const look = () => {
    // a run of the first machine keeps no clock of its base
    if (input === 'clock' && plan.machine >= 2)
      return shutSince === undefined ? onFact({ kind: 'base closed' }) : done(Math.round((serverNow() - shutSince) / 1000));
    const text = typed.trim();
    if (input === null || text === '') {
      if (input === 'temperature' && readoutC !== null) return judge(readoutC);
      return done();
    }
    if (input === 'count') {
      const count = countFrom(text);
      return count === null ? setWord('Transfers: a whole number, or leave it empty to count none.') : done(count);
    }
    const read = parseQuantity('temperature', text, { unit });
    return read.state === 'ok' ? judge(read.value) : setWord(read.message);
  };
  const judge = (readC: number) =>
    settled(card, readC)
      ? done(readC)
      : setWord(
          `It reads ${formatQuantity(readC, unit)} and is to be at ${formatQuantity(firstHeat(card), unit)}. Wait, read again, and press once more.`,
        );
  useRunKeys({ ' ': look, Enter: look });
  return (
    <div className="flex max-w-4xl flex-col">
      <h1 className="text-6xl leading-tight max-[56.25rem]:text-4xl">
        <Says words={check.says} />
      </h1>
      <p className="pt-4 text-2xl text-night-soft">
        <Says words={check.look} />
      </p>
      {check.cautions?.map((words, i) => (
        <p key={i} role="note" className="mt-4 border-l-4 border-amber pl-4 text-xl">
          <Says words={words} />
        </p>
      ))}
      {check.safety && <p className="mt-4 border-l-4 border-amber pl-4 text-xl text-amber">{check.safety}</p>}
      {shutSince !== undefined && <Warming plan={plan} run={run} card={card} since={shutSince} />}
      {(input === 'temperature' || input === 'count') && (
        <label className="mt-5 block max-w-md text-xl">
          <span className="text-night-soft">
            {input === 'temperature'
              ? `It reads${readoutC === null ? '' : ` (the readout says ${formatQuantity(readoutC, unit)})`}`
              : 'There are'}
          </span>
          <input
            ref={field}
            className="entry figure mt-1 border-night-soft bg-night text-2xl text-white"
            inputMode="decimal"
            autoComplete="off"
            value={typed}
            placeholder={input === 'temperature' ? formatQuantity(firstHeat(card), unit) : ''}
            aria-invalid={word ? true : undefined}
            onChange={(event) => {
              setTyped(event.target.value);
              setWord(null);
            }}
            onKeyDown={(event) => event.key === 'Enter' && look()}
          />
        </label>
      )}
      {word && (
        <p role="alert" className="pt-3 text-xl text-amber">
          {word}
        </p>
      )}
      <div className="flex flex-wrap items-center gap-4 pt-6">
        <button type="button" data-cue="gate" className="act min-h-16 border-amber bg-amber px-8 text-2xl text-print" onClick={look}>
          {lookWord(input, shutSince !== undefined)} <span className="key">{input && input !== 'clock' ? 'Enter' : 'Space'}</span>
        </button>
        {input === 'clock' && shutSince === undefined && (
          <button type="button" className="act border-night-line text-white" onClick={() => done()}>
            It is warm already
          </button>
        )}
        {word && input === 'temperature' && (
          <button type="button" className="act border-night-line text-white" onClick={() => done()}>
            Go on all the same
          </button>
        )}
        <button
          type="button"
          className="act ml-auto border-transparent text-night-soft"
          onClick={() => onFact({ kind: 'checked', check: REST })}
        >
          Press without the rest
        </button>
      </div>
      {lacks.map((lack) => (
        <p key={lack} role="note" className="mt-5 border-l-4 border-night-line pl-4 text-night-soft">
          {lack}
        </p>
      ))}
    </div>
  );
}

const lookWord = (input: Check['input'], isShut: boolean): string =>
  input === 'temperature'
    ? 'It is there'
    : input === 'clock' && isShut
      ? 'Warm enough'
      : input === 'clock'
        ? 'Closed: count the time'
        : 'Looked at';

/** A whole number of transfers; null: it is none. */
function countFrom(text: string): number | null {
  const count = Number(text);
  return Number.isInteger(count) && count >= 0 && count <= 5000 ? count : null;
}
