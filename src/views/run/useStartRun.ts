/** Starts a run of a print, or goes back to the one that is open, and turns to the press. */
import { useState } from 'react';
import { call } from '../../contract';
import { forgetAct } from '../../ui/acts';
import { newId } from '../../ui/newId';
import { refresh } from '../../ui/query';
import { goTo } from '../shell/goTo';

export function useStartRun(orderId: string) {
  const [fault, setFault] = useState<unknown>(null);
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
    const id = openRunId ?? newId();
    try {
      if (!openRunId) await call('putRun', { params: { id }, body: { orderId, lineId, printKey, operator } });
      forgetAct();
      await refresh('order', 'rail');
      goTo(`/orders/${orderId}/run?line=${lineId}&run=${id}`);
    } catch (error) {
      setFault(error);
    }
  };
  return { start, fault };
}
