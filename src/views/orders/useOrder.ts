/** One order: its document, the state of its lines, and saving it with an undo on the rail. */
import { useState } from 'react';
import { call } from '../../contract';
import type { Line, Order } from '../../core/order';
import { saveUndoably } from '../../ui/acts';
import { known, refresh, useRoute } from '../../ui/query';

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
        const put = async (body: Order, ifMatch: number) => {
          const { order: now, version } = await call('putOrder', { params: { id: orderId }, body, ifMatch });
          known('order', { params: { id: orderId } }, (was) => ({ ...was, order: now, version }));
          await again();
          return version;
        };
        setFault(null);
        const version = await put(order, data.version);
        return async () => void (await put(before, version));
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
