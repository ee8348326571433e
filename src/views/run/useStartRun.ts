/** Starts a run of a print, or goes back to the one that is open, and turns to the press. */
import { useRef, useState } from 'react';
import { call } from '../../contract';
import { forgetAct } from '../../ui/acts';
import { newId } from '../../ui/newId';
import { refresh } from '../../ui/query';
import { goTo } from '../shell/goTo';

export function useStartRun(orderId: string) {
  const [fault, setFault] = useState<unknown>(null);
  // a second press while the first is on its way starts no second run
  const starting = useRef(false);
  // and one that is pressed again because no answer came asks for the same run
  const ids = useRef<Record<string, string>>({});
  const start = async ({
    lineId,
    printKey,
    openRunId = null,
    operator,
  }: {
    lineId: string;
    printKey: string;
    openRunId?: string | null;
    operator: string;
  }) => {
    if (starting.current) return;
    starting.current = true;
    const print = `${lineId} ${printKey}`;
    ids.current[print] ??= newId();
    const id = openRunId ?? ids.current[print];
    try {
      if (!openRunId) await call('putRun', { params: { id }, body: { orderId, lineId, printKey, operator } });
      forgetAct();
      await refresh('order', 'rail');
      goTo(`/orders/${orderId}/run?line=${lineId}&run=${id}`);
    } catch (error) {
      starting.current = false;
      setFault(error);
    }
  };
  return { start, fault };
}
