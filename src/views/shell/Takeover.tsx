/** A press whose time is up takes over whatever page is open, until somebody goes to it or puts it off. */

import { lazy, Suspense, useEffect, useState } from 'react';
import { stationHref } from '../../core/log';
import { useSecondsTo } from '../../ui/clock';
import { closeOver } from './over';
import type { RunNow } from './runNow';

const fetchDue = () => import('./Due');
const Due = lazy(() => fetchDue().then((m) => ({ default: m.Due })));

export function Takeover({ runs }: { runs: readonly RunNow[] }) {
  const closed = runs.flatMap((run) => run.clocks.filter(({ phase }) => phase === 'closed').map((clock) => ({ run, clock })));
  const now = useSecondsTo(closed.map(({ clock }) => clock.dueAt));
  const [putOff, setPutOff] = useState<number | null>(null);
  const here = ({ orderId, runId }: RunNow) => {
    const shown = new URLSearchParams(location.search).get('run');
    return location.pathname === stationHref(orderId, 'run') && (shown === null || shown === runId);
  };
  const due = closed.find(({ run, clock }) => clock.dueAt <= now && clock.dueAt !== putOff && !here(run));
  const isUp = closed.some(({ clock }) => clock.dueAt <= now);
  // a press that is to be opened lies over everything, and on its own page nothing may lie over it
  useEffect(() => {
    if (isUp) closeOver();
  }, [isUp]);
  const mayComeDue = closed.length > 0;
  // fetched while the press is shut: the server may be away when its time is up
  useEffect(() => {
    if (mayComeDue) fetchDue().catch(() => undefined);
  }, [mayComeDue]);
  return due ? (
    <Suspense>
      <Due key={due.clock.dueAt} run={due.run} pieces={due.clock.pieces} onPutOff={() => setPutOff(due.clock.dueAt)} />
    </Suspense>
  ) : null;
}
