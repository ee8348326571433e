/** One order: its document, the state of its lines, and saving it with an undo on the rail. */
import type { Line, Order } from '../../core/order';
import { known, useRoute } from '../../ui/query';
import { useSave, write } from '../../ui/write';

export function useOrder(orderId: string) {
  const args = { params: { id: orderId } };
  const { data, error } = useRoute('order', args);
  const put = async (body: Order, ifMatch: number) => {
    const takeOver = (saved: { order: Order; version: number }) => known('order', args, (was) => ({ ...was, ...saved }));
    return (await write('putOrder', { ...args, body, ifMatch }, takeOver)).version;
  };
  const { save, fault, clearFault } = useSave(
    ({ what }: { order: Order; what: string; from: NonNullable<typeof data> }) => what,
    async ({ order, from }) => {
      const version = await put(order, from.version);
      return async () => void (await put(from.order, version));
    },
  );
  /** Saves a changed document; `what` is what the rail will offer to undo. Answers whether it was taken. */
  const saveOrder = (order: Order, what: string): Promise<boolean> => (data ? save({ order, what, from: data }) : Promise.resolve(false));
  const saveLine = (line: Line, what: string) =>
    data
      ? saveOrder({ ...data.order, lines: data.order.lines.map((otherLine) => (otherLine.id === line.id ? line : otherLine)) }, what)
      : Promise.resolve(false);
  return { data, error, fault, clearFault, save: saveOrder, saveLine };
}

export type OrderState = NonNullable<ReturnType<typeof useOrder>['data']>;
