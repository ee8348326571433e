/** The rotate test: is it the press or the transfer? One piece turned round and pressed again tells; the answer is kept as evidence. */

import { useState } from 'react';
import type { PressReport } from '../../contract';
import { type Press, rotateVerdict } from '../../core/press';
import { instantText } from '../../ui/days';
import { Fault } from '../../ui/Fault';
import { useRoute } from '../../ui/query';
import { useKeepRecord } from './useKeepRecord';

export function RotateTest({ press, records }: { press: Press; records: PressReport['records'] }) {
  const shelf = useRoute('shelf', {});
  const [open, setOpen] = useState(false);
  const [productId, setProductId] = useState('');
  const [unnamed, setUnnamed] = useState(false);
  const { save: keep, fault } = useKeepRecord(press.id);
  const before = records.flatMap((record) => (record.kind === 'rotate test' ? [record] : []));
  const products = shelf.data?.products.filter((one) => !one.retiredOn) ?? [];
  const found = async (badStayedWith: 'piece' | 'press') => {
    setUnnamed(productId === '');
    if (productId !== '' && (await keep({ kind: 'rotate test', productId, badStayedWith }))) setOpen(false);
  };
  return (
    <section aria-label="Rotate test" className="rule-top mt-5 pt-3">
      <div className="flex items-baseline justify-between">
        <h3>One area keeps failing?</h3>
        <button type="button" className="act act-quiet" aria-expanded={open} onClick={() => setOpen(!open)}>
          Do the rotate test
        </button>
      </div>
      {open && (
        <div className="max-w-prose border-l-4 border-teal bg-sheet px-4 py-3">
          <ol className="list-decimal pl-5">
            <li>Press a piece with the transfer that failed, and mark the bad area with chalk.</li>
            <li>Turn the whole piece half round on the platen, fresh transfer and all, and press it the same way.</li>
            <li>Look where the bad area is now.</li>
          </ol>
          <p className="border-l-4 border-amber pl-3">Platen, base and fresh carriers are hot: wear gloves while you turn it.</p>
          <label className="block pt-2">
            <span className="label mb-1 block">Transfer</span>
            <select className="entry max-w-xs" value={productId} onChange={(event) => setProductId(event.target.value)}>
              <option value="">pick it …</option>
              {products.map((one) => (
                <option key={one.id} value={one.id}>
                  {one.name}
                </option>
              ))}
            </select>
          </label>
          <div className="flex flex-wrap gap-2 pt-3">
            <button type="button" className="act" onClick={() => void found('press')}>
              It stayed where it was on the press
            </button>
            <button type="button" className="act" onClick={() => void found('piece')}>
              It went round with the piece
            </button>
          </div>
          {unnamed && (
            <p role="alert" className="pt-2 text-brick">
              Say first with which transfer it was.
            </p>
          )}
          <Fault of={unnamed ? null : fault} className="pt-2 text-brick" />
        </div>
      )}
      {before.map((test) => (
        <p key={test.id} className="rule-top py-1.5">
          <span className="label figure">{instantText(test.at)}</span>{' '}
          {products.find((one) => one.id === test.productId)?.name ?? 'a transfer'}: {rotateVerdict(test.badStayedWith)}
        </p>
      ))}
    </section>
  );
}
