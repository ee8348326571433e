/** The Heat bench's page: where the stack on it is from, an order's card or the shelf; or practice. */

import { lazy, Suspense } from 'react';
import type { Reply } from '../../contract';
import { stationHref } from '../../core/log';
import { sidedWords } from '../../core/materials';
import type { Print } from '../../core/order';
import { type Press, usualPress } from '../../core/press';
import { Island, Pending, useRoute } from '../../ui/query';
import { Teach } from '../../ui/Teach';
import { useOrder } from '../orders/useOrder';
import { goOnceKept } from '../shell/goTo';
import { Bench } from './Bench';
import type { Picked } from './PickStack';

// each is fetched when it is first shown
const PickStack = lazy(() => import('./PickStack').then((m) => ({ default: m.PickStack })));
const Practice = lazy(() => import('./Practice').then((m) => ({ default: m.Practice })));

/** @param search where the stack is from: order, line, print; or blank, product, press; practice=1 */
export function HeatBench({ search }: { search: string }) {
  const asked = new URLSearchParams(search);
  return (
    <Island>
      <Suspense fallback={<p className="m-6 label">Fetching the bench …</p>}>
        {asked.get('practice') ? (
          <Practice />
        ) : asked.get('order') ? (
          <FromOrder order={asked.get('order') ?? ''} line={asked.get('line') ?? ''} print={asked.get('print') ?? ''} />
        ) : (
          <FromShelf asked={asked} />
        )}
      </Suspense>
    </Island>
  );
}

function FromOrder({ order: id, line: lineId, print: printKey }: { order: string; line: string; print: string }) {
  const order = useOrder(id);
  const heat = useRoute('orderHeat', { params: { id }, query: { line: lineId, print: printKey } });
  const line = order.data?.order.lines.find((line) => line.id === lineId);
  const print = line?.prints.find((print) => print.key === printKey);
  if (!heat.data || !line || !print) return <Pending error={order.error ?? heat.error} what="the stack" />;
  const send = async (choices: Print['choices']) => {
    const saving = order.saveLine(
      {
        ...line,
        prints: line.prints.map((print) => (print.key === printKey ? { ...print, choices: { ...print.choices, ...choices } } : print)),
      },
      'setting from the Heat bench taken',
    );
    await goOnceKept(saving, stationHref(id, 'card', { lineId, printKey }));
  };
  return (
    <Bench
      key={`${id} ${lineId} ${printKey}`}
      stack={heat.data.stack}
      title={`${order.data?.order.name ?? ''}, ${sidedWords(print)}`}
      back={{ href: stationHref(id, 'card', { lineId, printKey }), send, fault: order.fault }}
    />
  );
}

function FromShelf({ asked }: { asked: URLSearchParams }) {
  const shelf = useRoute('shelf', {});
  const presses = useRoute('presses', {});
  const own = { blank: asked.get('blank'), product: asked.get('product'), press: asked.get('press') };
  const first = usual(shelf.data, presses.data?.presses.map(({ press }) => press) ?? [], own);
  const ready = first.blank !== '' && first.product !== '' && first.press !== '';
  const heat = useRoute('shelfHeat', { query: first }, ready);
  if (!shelf.data || !presses.data) return <Pending error={shelf.error ?? presses.error} what="the shelf" />;
  const pick = <PickStack shelf={shelf.data} presses={presses.data.presses.map(({ press }) => press)} picked={first} />;
  if (!ready)
    return (
      <div className="p-5">
        <h1 className="pb-3">Heat bench</h1>
        <Teach
          drawing="stack"
          act={
            <>
              <a className="act act-main" href="/presses?new=1">
                Add a press
              </a>
              <a className="act" href="/shelf">
                Fill the shelf
              </a>
            </>
          }
        >
          Here a pressing is tried before a piece is spoiled. It needs a press, a blank and a transfer.
        </Teach>
      </div>
    );
  if (!heat.data)
    return (
      <div className="p-5">
        {pick}
        <Pending error={heat.error} what="the stack" />
      </div>
    );
  return <Bench key={JSON.stringify(first)} stack={heat.data.stack} title="From the shelf" pick={pick} />;
}

/** What was asked for; where nothing was, a soft blank with a transfer made for it on its usual press. */
function usual(shelf: Reply<'shelf'> | undefined, presses: readonly Press[], asked: { [K in keyof Picked]: string | null }): Picked {
  const there = <T extends { retiredOn?: string | undefined }>(all: readonly T[] = []) => all.filter((candidate) => !candidate.retiredOn);
  const fabricOf = (id: string | undefined) => shelf?.fabrics.find((fabric) => fabric.id === id);
  const blanks = there(shelf?.blanks);
  const blank =
    blanks.find((blank) => blank.id === asked.blank) ??
    blanks.find((blank) => fabricOf(blank.fabricId)?.substrate === 'cloth') ??
    blanks[0];
  const substrate = fabricOf(blank?.fabricId)?.substrate;
  const products = there(shelf?.products);
  const fitting = products.find((product) => substrate !== undefined && product.substrates.includes(substrate)) ?? products[0];
  return {
    blank: blank?.id ?? '',
    product: asked.product ?? fitting?.id ?? '',
    press: asked.press ?? usualPress(there(presses), blank?.kind === 'cap')?.id ?? '',
  };
}
