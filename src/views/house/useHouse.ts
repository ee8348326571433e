/** The house's document, and saving it with an undo on the rail. */
import { useState } from 'react';
import { call } from '../../contract';
import type { House } from '../../core/house';
import { saveUndoably } from '../../ui/acts';
import { refresh, useRoute } from '../../ui/query';

const again = () => refresh('house', 'orderCards', 'order', 'bench', 'learned');

export function useHouse() {
  const { data, error } = useRoute('house', {});
  const [fault, setFault] = useState<unknown>(null);
  /** Saves a house changed from one that was seen, by default as it is now; `what` is what the rail will offer to undo. */
  const save = async (house: House, what: string, from = data): Promise<void> => {
    if (!from) return;
    const { house: before, version } = from;
    try {
      await saveUndoably(what, async () => {
        const saved = await call('putHouse', { body: house, ifMatch: version });
        setFault(null);
        await again();
        return async () => {
          await call('putHouse', { body: before, ifMatch: saved.version });
          await again();
        };
      });
    } catch (problem) {
      setFault(problem);
    }
  };
  return { data, error, fault, save };
}
