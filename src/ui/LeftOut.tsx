/** What a list had to leave out because it cannot be read, so that nobody takes it for gone. Nothing where all could be read. */
import type { Unreadable } from '../contract';

export function LeftOut({ of }: { of: readonly Unreadable[] }) {
  const [first] = of;
  if (!first) return null;
  return (
    <details className="my-2 border-l-4 border-brick bg-sheet px-3 py-2" role="alert">
      <summary className="min-h-11 cursor-pointer py-2.5 font-semibold text-brick">
        {of.length === 1 ? `One ${first.what} cannot be read and is left out` : `${of.length} records cannot be read and are left out`}
      </summary>
      <p className="py-1">
        They stay stored as they are, and everything else works. A backup from before may hold them whole: look under House, Backup.
      </p>
      <ul>
        {of.map((left) => (
          <li key={`${left.what} ${left.id}`}>
            {left.what} {left.name ? `“${left.name}”` : left.id} <span className="label">{left.why}</span>
          </li>
        ))}
      </ul>
    </details>
  );
}
