/** Saves a change to a press’s facts, undoably, against the version it was made from. */
import { useState } from 'react';
import { call } from '../../contract';
import type { Press } from '../../core/press';
import { saveUndoably } from '../../ui/acts';
import { refresh } from '../../ui/query';

const again = () => refresh('presses', 'pressReport', 'orderCards', 'order', 'bench', 'rail');

/**
 * @param version last seen; null: the press is new
 * @returns `save` answers whether it was saved
 */
export function useSavePress(press: Press, version: number | null): { save: (next: Press) => Promise<boolean>; fault: unknown } {
  const [fault, setFault] = useState<unknown>(null);
  const save = async (next: Press) => {
    try {
      await saveUndoably(`${press.name} changed`, async () => {
        const saved = await call('putPress', { params: { id: press.id }, body: next, ...(version === null ? {} : { ifMatch: version }) });
        setFault(null);
        await again();
        if (version === null) return null;
        return async () => {
          await call('putPress', { params: { id: press.id }, body: press, ifMatch: saved.version });
          await again();
        };
      });
      return true;
    } catch (error) {
      setFault(error);
      return false;
    }
  };
  return { save, fault };
}
