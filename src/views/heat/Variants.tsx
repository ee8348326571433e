/** Up to three things tried beside each other: which is in hand, one more, one fewer. */
import { didUndoably } from '../../ui/acts';
import { MOST_VARIANTS, VARIANT_NAMES, type Variant } from './variant';

export function Variants({
  variants,
  current,
  setVariants,
  setCurrent,
}: {
  variants: Variant[];
  current: number;
  setVariants: (next: Variant[]) => void;
  setCurrent: (i: number) => void;
}) {
  return (
    <section className="flex items-center gap-1 pb-2" aria-label="Variants">
      {variants.length > 1 &&
        variants.map((_, i) => (
          <button
            key={VARIANT_NAMES[i]}
            type="button"
            aria-pressed={i === current}
            className={`min-h-12 min-w-12 border-b-4 px-2 ${i === current ? 'border-teal font-bold' : 'border-transparent'}`}
            onClick={() => setCurrent(i)}
          >
            {VARIANT_NAMES[i]}
          </button>
        ))}
      {variants.length < MOST_VARIANTS && (
        <button
          type="button"
          className="act act-quiet whitespace-nowrap underline"
          onClick={() => {
            const copy = variants[current];
            if (!copy) return;
            setVariants([...variants, copy]);
            setCurrent(variants.length);
          }}
        >
          Try another
        </button>
      )}
      {variants.length > 1 && (
        <button
          type="button"
          className="act act-quiet whitespace-nowrap underline"
          onClick={() => {
            const before = variants;
            setVariants(variants.filter((_, i) => i !== current));
            setCurrent(0);
            didUndoably({ what: `variant ${VARIANT_NAMES[current]} dropped`, undo: async () => setVariants(before) });
          }}
        >
          Delete {VARIANT_NAMES[current]}
        </button>
      )}
    </section>
  );
}
