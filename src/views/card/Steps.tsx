/** The hands' steps, numbered, each with the safety line that belongs to it. */
import type { Card } from '../../core/card';
import { Says } from '../../ui/Says';

export function Steps({ card }: { card: Card }) {
  return (
    <section aria-label="Steps">
      <h2 className="pb-2">By hand, in this order</h2>
      <ol className="max-w-[70ch]">
        {card.steps.map((step, i) => (
          <li key={i} className="grid grid-cols-[2rem_minmax(0,1fr)] py-1">
            <span className="figure text-soft">{i + 1}</span>
            <span>
              <Says words={step.says} />
              {step.safety && (
                <span className="mt-0.5 block border-l-4 border-amber pl-2 text-[0.95rem]">
                  <Says words={step.safety} />
                </span>
              )}
            </span>
          </li>
        ))}
      </ol>
      {card.care && <p className="rule-top mt-2 pt-2 text-soft">Care: {card.care}</p>}
    </section>
  );
}
