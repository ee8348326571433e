/** A trial on scrap before the first good piece: one scrap after the other, each a little longer, and the best is kept for this run. */
import { useState } from 'react';
import type { Card } from '../../core/card';
import { type LeadIn, type RunFact, type RunState, TRIAL_LOOKS } from '../../core/run';
import { formatDuration } from '../../core/units';
import { secondsLeft, useSecondsTo } from '../../ui/clock';
import { DrainingBar } from './DrainingBar';
import { useSounds, useToneAt } from './useCueSounds';
import { useRunKeys } from './useRunKeys';

interface TrialProps {
  card: Card;
  next: Extract<LeadIn, { state: 'trial' }>['next'];
  tries: RunState['tries'];
  scrap: RunState['scrap'];
  onFact: (fact: RunFact) => void;
}

export function Trial({ card, next, tries, scrap, onFact }: TrialProps) {
  return (
    <section className="grid flex-1 grid-cols-[1fr_19rem] gap-10 py-5 max-[56.25rem]:grid-cols-1" aria-label="Trial on scrap">
      {next.state === 'try' ? (
        <Scrap key={next.timeS} timeS={next.timeS} dueAt={scrap?.dueAt ?? null} onFact={onFact} />
      ) : (
        <Best card={card} bestS={next.bestS} tries={tries} onFact={onFact} />
      )}
      <div>
        <h2 className="text-night-soft">Tried so far</h2>
        <ol className="m-0 list-none p-0 pt-2 text-xl">
          {tries.map(({ timeS, looks }) => (
            <li key={timeS} className="flex gap-4 border-b border-night-line py-2">
              <span className="figure w-16">{formatDuration(timeS)}</span> {looks}
            </li>
          ))}
          {tries.length === 0 && <li className="text-night-soft">Nothing yet.</li>}
        </ol>
      </div>
    </section>
  );
}

function Scrap({ timeS, dueAt, onFact }: { timeS: number; dueAt: number | null; onFact: (fact: RunFact) => void }) {
  const [open, setOpen] = useState(false);
  const now = useSecondsTo(dueAt === null ? [] : [dueAt]);
  const leftS = dueAt === null ? timeS : secondsLeft(dueAt, now);
  const [sounds] = useSounds();
  useToneAt('open', dueAt, sounds);
  const advance = () => {
    if (dueAt === null) onFact({ kind: 'trying', timeS });
    else if (leftS === 0) setOpen(true);
  };
  const looks = (i: number) => open && TRIAL_LOOKS[i] && onFact({ kind: 'tried', timeS, looks: TRIAL_LOOKS[i] });
  useRunKeys({ ' ': advance, Enter: advance, '1': () => looks(0), '2': () => looks(1), '3': () => looks(2) });
  return (
    <div>
      <button type="button" data-cue="trial" onClick={advance} className="block w-full border-0 bg-transparent text-left text-white">
        <span
          className="flex flex-wrap items-end justify-between gap-x-8 leading-none font-bold"
          style={{ fontSize: 'clamp(56px, 7.5vw, 96px)' }}
        >
          <span>{open ? 'How does it look?' : dueAt === null ? 'Try a scrap' : leftS > 0 ? 'Pressing' : 'Open now'}</span>
          {!open && (
            <span className="figure font-semibold">
              {leftS} <span className="text-4xl font-normal">s</span>
            </span>
          )}
        </span>
        <DrainingBar lastsS={timeS} dueAt={open ? null : dueAt} />
      </button>
      <p className="pt-3 text-2xl text-night-soft">
        {open
          ? 'Let it cool a moment; look at it from the side, and at small parts.'
          : 'A fresh scrap of the same film on a strip of the same cloth: a second press would flatten it.'}
      </p>
      {open && (
        <div className="flex flex-wrap gap-3 pt-5">
          {TRIAL_LOOKS.map((words, i) => (
            <button key={words} type="button" className="act min-h-16 border-night-line text-xl text-white" onClick={() => looks(i)}>
              <span className="key">{i + 1}</span> {words[0]?.toUpperCase()}
              {words.slice(1)}
            </button>
          ))}
        </div>
      )}
    </div>
  );
}

function Best({
  card,
  bestS,
  tries,
  onFact,
}: {
  card: Card;
  bestS: number | null;
  tries: RunState['tries'];
  onFact: (fact: RunFact) => void;
}) {
  const keep = (timeS: number) => onFact({ kind: 'set', timeS });
  const first = bestS ?? card.set.timeS;
  useRunKeys({ ' ': () => keep(first), Enter: () => keep(first) });
  return (
    <div>
      <h1 className="text-6xl leading-tight">{bestS === null ? 'None looked right' : `Keep ${formatDuration(bestS)} for this run?`}</h1>
      <p className="pt-3 text-2xl text-night-soft">
        {bestS === null
          ? 'Pressure or film may be off. The card’s time stands unless you choose another.'
          : 'The longest that still looked right holds best. Every piece is recorded with it.'}
      </p>
      <div className="flex flex-wrap gap-3 pt-5">
        <button
          type="button"
          data-cue="trial"
          className="act min-h-16 border-amber bg-amber px-8 text-2xl text-print"
          onClick={() => keep(first)}
        >
          Press with {formatDuration(first)} <span className="key">Space</span>
        </button>
        {tries
          .filter(({ timeS }) => timeS !== first)
          .map(({ timeS }) => (
            <button key={timeS} type="button" className="act min-h-16 border-night-line text-xl text-white" onClick={() => keep(timeS)}>
              {formatDuration(timeS)}
            </button>
          ))}
      </div>
    </div>
  );
}
