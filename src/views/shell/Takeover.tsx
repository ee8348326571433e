/** A press whose time is up takes over whatever page is open, until somebody goes to it or puts it off. */

import { navigate } from 'astro:transitions/client';
import { useEffect, useRef, useState } from 'react';
import type { Rail } from '../../contract';
import { stationHref } from '../../core/log';
import { useSecondsTo } from '../../ui/clock';
import { piecesOrScrap } from '../../ui/pieces';
import { keptSounds, playTone } from '../../ui/tones';

type RunNow = Rail['runs'][number];

export const runHref = ({ orderId, lineId, runId }: RunNow): string => stationHref(orderId, 'run', { lineId, runId });

export function Takeover({ runs }: { runs: readonly RunNow[] }) {
  const closed = runs.flatMap((run) => run.clocks.filter(({ phase }) => phase === 'closed').map((clock) => ({ run, clock })));
  const now = useSecondsTo(closed.map(({ clock }) => clock.dueAt));
  const [putOff, setPutOff] = useState<number | null>(null);
  const here = ({ orderId, runId }: RunNow) => {
    const shown = new URLSearchParams(location.search).get('run');
    return location.pathname === stationHref(orderId, 'run') && (shown === null || shown === runId);
  };
  const due = closed.find(({ run, clock }) => clock.dueAt <= now && clock.dueAt !== putOff && !here(run));
  return due ? <Due key={due.clock.dueAt} run={due.run} pieces={due.clock.pieces} onPutOff={() => setPutOff(due.clock.dueAt)} /> : null;
}

function Due({ run, pieces, onPutOff }: { run: RunNow; pieces: readonly number[]; onPutOff: () => void }) {
  const main = useRef<HTMLAnchorElement>(null);
  useEffect(() => {
    const before = document.activeElement as HTMLElement | null;
    main.current?.focus();
    if (keptSounds() !== 'silent') playTone('open');
    return () => before?.focus?.();
  }, []);
  return (
    <div
      role="alertdialog"
      aria-modal="true"
      aria-label={`Open the press now: ${run.label}`}
      className="dark-room fixed inset-0 z-50 flex flex-col justify-center bg-night px-10 text-white"
      onKeyDown={(event) => {
        event.stopPropagation();
        if (event.key === 'Escape') onPutOff();
        if (event.key === ' ') {
          event.preventDefault();
          void navigate(runHref(run));
        }
      }}
    >
      <p className="leading-none font-bold" style={{ fontSize: 'clamp(60px, 11vw, 140px)' }}>
        Open now
      </p>
      <p className="pt-4 text-3xl text-night-soft">
        {run.label}, <span className="text-white">{piecesOrScrap(pieces)}</span>: its time is up, and the press is still shut.
      </p>
      <p className="flex gap-4 pt-10">
        <a ref={main} href={runHref(run)} className="act min-h-16 border-amber bg-amber px-8 text-2xl text-ink">
          Go to it <span className="key">Space</span>
        </a>
        <button type="button" className="act min-h-16 border-night-line text-xl text-white" onClick={onPutOff}>
          Stay here <span className="key">Esc</span>
        </button>
      </p>
    </div>
  );
}
