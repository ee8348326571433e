/** Saves a change to a press’s facts, undoably. */
import { useState } from 'react';
import { call } from '../../contract';
import type { Press } from '../../core/press';
import { didUndoably } from '../../ui/acts';
import { errorWords, refresh } from '../../ui/query';

const again = () => refresh('presses', 'pressReport', 'orderCards', 'order', 'bench', 'rail');

export function useSavePress(press: Press): { save: (next: Press) => Promise<void>; fault: string | null } {
  const [fault, setFault] = useState<string | null>(null);
  const save = async (next: Press) => {
    try {
      const { presses } = await call('presses', {});
      const version = presses.find((one) => one.press.id === press.id)?.version;
      const saved = await call('putPress', { params: { id: press.id }, body: next, ...(version !== undefined && { ifMatch: version }) });
      setFault(null);
      await again();
      didUndoably({
        what: `${press.name} changed`,
        undo: async () => {
          await call('putPress', { params: { id: press.id }, body: press, ifMatch: saved.version });
          await again();
        },
      });
    } catch (error) {
      setFault(errorWords(error));
    }
  };
  return { save, fault };
}
