/** Leaves out what the log has taught of a press with a transfer, with its undo on the rail. Later pressings teach again. */
import { useState } from 'react';
import { call } from '../../contract';
import { didUndoably } from '../../ui/acts';
import { refresh, useRoute } from '../../ui/query';

const again = () => refresh('house', 'orderCards', 'order', 'bench', 'learned');

export function useLeaveOut() {
  const house = useRoute('house', {});
  const [fault, setFault] = useState<unknown>(null);
  const leaveOut = async ({ pressId, productId }: { pressId: string; productId: string }) => {
    if (!house.data) return;
    const { house: before, version } = house.data;
    const rest = (before.forgotten ?? []).filter((one) => one.pressId !== pressId || one.productId !== productId);
    try {
      const saved = await call('putHouse', {
        body: { ...before, forgotten: [...rest, { pressId, productId, until: Date.now() }] },
        ifMatch: version,
      });
      setFault(null);
      await again();
      didUndoably({
        what: 'what the log says left out',
        undo: async () => {
          await call('putHouse', { body: before, ifMatch: saved.version });
          await again();
        },
      });
    } catch (error) {
      setFault(error);
    }
  };
  return { leaveOut, fault };
}
