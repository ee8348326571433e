/** Orders: begin a new one, and every order that is on the bench. */

import { addDays } from 'date-fns';
import { useState } from 'react';
import type { z } from 'zod';
import { call, ProblemError } from '../../contract';
import { stationHref } from '../../core/log';
import { OrderSchema } from '../../core/order';
import { dueText, isoDay, isoDayText } from '../../ui/days';
import { useDocForm } from '../../ui/docForm';
import { Fault } from '../../ui/Fault';
import { TextField } from '../../ui/Field';
import { Lamp } from '../../ui/Lamp';
import { newId } from '../../ui/newId';
import { PieceMark } from '../../ui/PieceMark';
import { Island, Pending, useRoute } from '../../ui/query';
import { useSave, useWrite, write } from '../../ui/write';
import { goOnceKept } from '../shell/goTo';

export function Orders({ initialName = '' }: { initialName?: string }) {
  return (
    <Island>
      <div className="mx-auto grid max-w-[77.5rem] grid-cols-[24rem_minmax(0,1fr)] gap-10 px-5 pt-5 max-[62rem]:flex max-[62rem]:flex-col-reverse narrow:px-4">
        <NewOrder initialName={initialName} />
        <OrderList />
      </div>
    </Island>
  );
}

const NewOrderSchema = OrderSchema.pick({ name: true, customer: true, due: true });

function NewOrder({ initialName }: { initialName: string }) {
  const form = useDocForm(NewOrderSchema, { name: initialName, customer: '', due: isoDay(addDays(new Date(), 2)) });
  const { doc, patch } = form;
  const [id] = useState(newId);
  const { save, pending, fault } = useWrite((head: z.infer<typeof NewOrderSchema>) =>
    write('putOrder', { params: { id }, body: { id, ...head, note: '', lines: [] } }),
  );
  const fields = { ...(fault instanceof ProblemError && fault.fields), ...form.fields };
  const begin = form.handle((head) => goOnceKept(save(head), stationHref(id, 'lines')));
  return (
    <form onSubmit={begin} id="new" aria-labelledby="new-order">
      <h1 id="new-order" className="pb-3">
        New order
      </h1>
      <TextField
        label="What it is for"
        name="name"
        value={doc.name}
        onChange={(name) => patch({ name })}
        problem={fields.name}
        hint="As you will look for it: Guide tees, open night"
        autoFocus
      />
      <TextField
        label="Customer"
        name="customer"
        value={doc.customer}
        onChange={(customer) => patch({ customer })}
        problem={fields.customer}
        hint="May stay empty"
      />
      <TextField label="Wanted by" name="due" type="date" value={doc.due} onChange={(due) => patch({ due })} problem={fields.due} />
      <Fault of={Object.keys(fields).length === 0 ? fault : null} />
      <button type="submit" className="act act-main w-full" disabled={pending}>
        Start the order
      </button>
    </form>
  );
}

function OrderList() {
  const { data, error } = useRoute('bench', {});
  const { save: takeOff, fault } = useSave(
    ({ name }: { orderId: string; name: string }) => `${name} deleted`,
    async ({ orderId }) => {
      const { order } = await call('order', { params: { id: orderId } });
      const { version } = await write('removeOrder', { params: { id: orderId } });
      return async () => void (await write('putOrder', { params: { id: orderId }, body: order, ifMatch: version }));
    },
  );
  if (!data) return <Pending error={error} what="the orders" />;
  const today = new Date(data.today);
  return (
    <section aria-labelledby="on-the-bench">
      <h2 id="on-the-bench" className="pb-3 text-lg">
        On the bench
      </h2>
      <Fault of={fault} className="border-l-4 border-brick pl-3 text-brick" />
      {data.orders.length === 0 && <p className="rule-top py-4">None yet. The order you start on the left will stand here.</p>}
      <ul>
        {data.orders.map((row) => (
          <li
            key={row.orderId}
            className="rule-top grid grid-cols-[1fr_7rem_7rem_auto] items-center gap-4 py-2 narrow:flex narrow:flex-wrap narrow:justify-between narrow:gap-x-3 narrow:gap-y-0"
          >
            <a className="min-w-0 py-2 text-ink no-underline hover:underline narrow:basis-full" href={stationHref(row.orderId, 'lines')}>
              <span className="flex items-center gap-3">
                {row.pieces > 0 && <PieceMark orderId={row.orderId} size={40} />}
                <span className="min-w-0">
                  <span className="block font-semibold">{row.name}</span>
                  <span className="label block">{row.what || 'no lines yet'}</span>
                </span>
              </span>
            </a>
            <span className="leading-tight">
              {dueText(row.due, today)}
              <span className="label block">{isoDayText(row.due)}</span>
            </span>
            {row.pieces > 0 ? <Lamp state={row.lamp} cautions={row.cautions} /> : <span className="label">no card yet</span>}
            <button type="button" className="act act-quiet" onClick={() => void takeOff(row)}>
              Delete <span className="sr-only">{row.name}</span>
            </button>
          </li>
        ))}
      </ul>
    </section>
  );
}
