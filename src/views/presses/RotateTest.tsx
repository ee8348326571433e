/** The rotate test: is it the press or the transfer? One piece turned round and pressed again tells; the answer is kept as evidence. */

import { useState } from 'react';
import { z } from 'zod';
import type { PressReport } from '../../contract';
import { type Press, rotateVerdict } from '../../core/press';
import { instantText } from '../../ui/days';
import { useDocForm } from '../../ui/docForm';
import { Fault } from '../../ui/Fault';
import { ChoiceField } from '../../ui/Field';
import { useRoute } from '../../ui/query';
import { useKeepRecord } from './useKeepRecord';

const WhichSchema = z.object({ productId: z.string().min(1, 'Say first with which transfer it was.') });

export function RotateTest({ press, records }: { press: Press; records: PressReport['records'] }) {
  const shelf = useRoute('shelf', {});
  const [open, setOpen] = useState(false);
  const form = useDocForm(WhichSchema, { productId: '' });
  const { save: keep, fault } = useKeepRecord(press.id);
  const before = records.flatMap((record) => (record.kind === 'rotate test' ? [record] : []));
  const products = shelf.data?.products.filter((product) => !product.retiredOn) ?? [];
  const found = (badStayedWith: 'piece' | 'press') =>
    form.submit(async ({ productId }) => {
      if (await keep({ kind: 'rotate test', productId, badStayedWith })) setOpen(false);
    });
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
          <div className="max-w-xs pt-2">
            <ChoiceField
              label="Transfer"
              value={form.doc.productId}
              options={[{ value: '', text: 'pick it …' }, ...products.map(({ id, name }) => ({ value: id, text: name }))]}
              onChange={(productId) => form.patch({ productId })}
              problem={form.fields.productId}
            />
          </div>
          <div className="flex flex-wrap gap-2">
            <button type="button" className="act" onClick={() => void found('press')}>
              It stayed where it was on the press
            </button>
            <button type="button" className="act" onClick={() => void found('piece')}>
              It went round with the piece
            </button>
          </div>
          <Fault of={fault} className="pt-2 text-brick" />
        </div>
      )}
      {before.map((test) => (
        <p key={test.id} className="rule-top py-1.5">
          <span className="label figure">{instantText(test.at)}</span>{' '}
          {products.find((product) => product.id === test.productId)?.name ?? 'a transfer'}: {rotateVerdict(test.badStayedWith)}
        </p>
      ))}
    </section>
  );
}
