/** One order: its document, the state of its lines, and saving it with an undo on the rail. */
import { useState } from 'react';
import { call } from '../../contract';
import type { Line, Order } from '../../core/order';
import { saveUndoably } from '../../ui/acts';
import { refresh, useRoute } from '../../ui/query';

const again = () => refresh('order', 'orderCards', 'bench');

export function useOrder(orderId: string) {
  const { data, error } = useRoute('order', { params: { id: orderId } });
  const [fault, setFault] = useState<unknown>(null);
  /** Saves a changed document; `what` is what the rail will offer to undo. Returns whether it was taken. */
  const save = async (order: Order, what: string): Promise<boolean> => {
    if (!data) return false;
    try {
      const before = data.order;
      await saveUndoably(what, async () => {
        const saved = await call('putOrder', { params: { id: orderId }, body: order, ifMatch: data.version });
        setFault(null);
        await again();
        return async () => {
          await call('putOrder', { params: { id: orderId }, body: before, ifMatch: saved.version });
          await again();
        };
      });
      return true;
    } catch (problem) {
      setFault(problem);
      return false;
    }
  };
  const saveLine = (line: Line, what: string) =>
    data ? save({ ...data.order, lines: data.order.lines.map((one) => (one.id === line.id ? line : one)) }, what) : Promise.resolve(false);
  return { data, error, fault, clearFault: () => setFault(null), save, saveLine };
}

export type OrderState = NonNullable<ReturnType<typeof useOrder>['data']>;
