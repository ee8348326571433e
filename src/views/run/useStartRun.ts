/** Starts a run of a print, or goes back to the one that is open, and turns to the press. */

import { useRef } from 'react';
import { stationHref } from '../../core/log';
import type { RosterEntry } from '../../core/order';
import { forgetAct } from '../../ui/acts';
import { newId } from '../../ui/newId';
import { useWrite, write } from '../../ui/write';
import { goOnceKept } from '../shell/goTo';

interface Started {
  lineId: string;
  printKey: string;
  openRunId?: string | null;
  operator: string;
  /** The pieces of one person alone. */
  person?: RosterEntry | null;
  /** Other prints to press in the same run. */
  also?: { orderId: string; lineId: string; printKey: string }[];
}

export function useStartRun(orderId: string) {
  // a second press while the first is on its way starts no second run
  const starting = useRef(false);
  // and one that is pressed again because no answer came asks for the same run
  const ids = useRef<Record<string, string>>({});
  const { save, fault } = useWrite(async ({ id, lineId, printKey, openRunId, operator, person, also = [] }: Started & { id: string }) => {
    if (!openRunId)
      await write('putRun', { params: { id }, body: { orderId, lineId, printKey, operator, also, ...(person && { person }) } });
  });
  const start = async (asked: Started) => {
    if (starting.current) return;
    starting.current = true;
    const print = JSON.stringify([asked.lineId, asked.printKey, asked.person, asked.also]);
    ids.current[print] ??= newId();
    const id = asked.openRunId ?? ids.current[print];
    if (await goOnceKept(save({ ...asked, id }), stationHref(orderId, 'run', { lineId: asked.lineId, runId: id }))) forgetAct();
    else starting.current = false;
  };
  return { start, fault };
}
