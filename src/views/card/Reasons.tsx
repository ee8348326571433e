/** The chain of reasons behind one value, unfolded under it: who says what, in the order in which it bears. */
import type { Card } from '../../core/card';
import type { Field } from '../../core/draft';
import { Says } from '../../ui/Says';

const SOURCE_WORDS: Record<Card['reasons'][number]['source'], string> = {
  sheet: 'sheet',
  fabric: 'fabric',
  blank: 'blank',
  press: 'press',
  house: 'house rule',
  physics: 'worked out',
  log: 'the log',
  operator: 'you',
};

/** Values that stand with others: peel unfolds cover and mirror too. */
const WITH: Partial<Record<Field, Field[]>> = {
  peel: ['peel', 'cover', 'finish', 'mirror'],
  time: ['time', 'pre-press'],
  pressure: ['pressure', 'base'],
};

export function Reasons({ card, field, onClose }: { card: Card; field: Field; onClose: () => void }) {
  const fields = WITH[field] ?? [field];
  const reasons = card.reasons.filter((reason) => fields.includes(reason.field));
  return (
    <section className="my-2 border-l-4 border-teal bg-sheet py-2 pr-4 pl-4" aria-label={`Why this ${field}`}>
      <ol>
        {reasons.map((reason, i) => (
          <li key={i} className="grid grid-cols-[7rem_1fr] gap-3 py-1 narrow:block">
            <span className="label">{SOURCE_WORDS[reason.source]}</span>
            <span>
              <Says words={reason.says} />
            </span>
          </li>
        ))}
      </ol>
      <button type="button" className="act act-quiet" onClick={onClose}>
        Hide
      </button>
    </section>
  );
}
