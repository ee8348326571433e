/** Somebody else changed the same thing: what they changed, and for every field both touched, whose is to stand. */
import { useState } from 'react';
import type { Collision } from './useThing';

const words = (value: unknown): string => {
  if (value === undefined || value === null || value === '') return 'nothing';
  return typeof value === 'object' ? JSON.stringify(value).replace(/["{}[\]]/g, ' ') : String(value);
};

export function MergePanel<T extends { name: string }>({
  collision,
  onSave,
}: {
  collision: Collision<T>;
  onSave: (keepMine: string[]) => void;
}) {
  const [mine, setMine] = useState<string[]>(collision.conflicts.map((conflict) => conflict.field));
  return (
    <section role="alert" className="my-3 border-l-4 border-amber bg-sheet px-4 py-3" aria-label="Changed meanwhile">
      <h2>Somebody else changed {collision.theirs.name} while you did.</h2>
      <p className="pb-2">
        {collision.taken.length > 0 ? `Their ${collision.taken.join(', ')} is taken as it is. ` : ''}
        {collision.conflicts.length > 0 ? 'You both changed:' : 'Nothing you typed is in its way.'}
      </p>
      {collision.conflicts.map(({ field, mine: own, theirs }) => (
        <fieldset key={field} className="rule-top grid grid-cols-[8rem_1fr_1fr] gap-3 py-1 narrow:grid-cols-1">
          <legend className="sr-only">{field}</legend>
          <span className="label pt-3">{field}</span>
          {(
            [
              ['mine', own],
              ['theirs', theirs],
            ] as const
          ).map(([whose, value]) => (
            <label key={whose} className="flex min-h-12 items-center gap-3">
              <input
                type="radio"
                name={`merge-${field}`}
                className="size-6 shrink-0"
                checked={mine.includes(field) === (whose === 'mine')}
                onChange={() => setMine(whose === 'mine' ? [...mine, field] : mine.filter((word) => word !== field))}
              />
              <span className="min-w-0 break-words">
                {whose}: {words(value)}
              </span>
            </label>
          ))}
        </fieldset>
      ))}
      <button type="button" className="act act-main mt-2" onClick={() => onSave(mine)}>
        Save both together
      </button>
    </section>
  );
}
