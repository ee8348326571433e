/** A word of the app where it first stands on a page: a touch explains it. */
import type { ReactNode } from 'react';
import type { WordId } from '../../core/words';
import { openOver } from './over';

export const Term = ({ of, children }: { of: WordId; children: ReactNode }) => (
  <button
    type="button"
    title="What is this?"
    onClick={() => openOver('help', of)}
    className="inline cursor-help border-0 bg-transparent p-0 text-left text-inherit underline decoration-dotted decoration-2 underline-offset-4 pointer-coarse:min-h-11"
  >
    {children}
  </button>
);
