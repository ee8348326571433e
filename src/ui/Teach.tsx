/** What stands where nothing stands yet: one drawing, what will be there and how it comes, and the way to begin. */
import type { ReactNode } from 'react';
import type { DrawingName } from './Drawing';
import { useFetched } from './useFetched';

// only a page with nothing on it has a use for drawings
const drawings = () => import('./Drawing');

interface TeachProps {
  drawing: DrawingName;
  children: ReactNode;
  /** What can be done about it, as a link or a button. */
  act?: ReactNode;
}

export function Teach({ drawing, children, act }: TeachProps) {
  const parts = useFetched(drawings, true);
  return (
    <div className="rule-top flex max-w-[52rem] items-start gap-6 py-6">
      <span className="h-20 w-[120px] shrink-0 narrow:hidden">{parts && <parts.Drawing of={drawing} />}</span>
      <div className="max-w-prose">
        <div>{children}</div>
        {act && <div className="flex flex-wrap gap-3 pt-4">{act}</div>}
      </div>
    </div>
  );
}
