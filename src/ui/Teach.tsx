/** What stands where nothing stands yet: one drawing, what will be there and how it comes, and the way to begin. */
import type { ReactNode } from 'react';
import { Drawing, type DrawingName } from './Drawing';

interface TeachProps {
  drawing: DrawingName;
  children: ReactNode;
  /** What can be done about it, as a link or a button. */
  act?: ReactNode;
}

export const Teach = ({ drawing, children, act }: TeachProps) => (
  <div className="rule-top flex max-w-[52rem] items-start gap-6 py-6">
    <span className="narrow:hidden">
      <Drawing of={drawing} />
    </span>
    <div className="max-w-prose">
      <div>{children}</div>
      {act && <div className="flex flex-wrap gap-3 pt-4">{act}</div>}
    </div>
  </div>
);
