/** The house's document, and saving it with an undo on the rail. */
import { useMutation } from '@tanstack/react-query';
import { call, type Reply } from '../../contract';
import type { House } from '../../core/house';
import { saveUndoably } from '../../ui/acts';
import { refresh, useRoute } from '../../ui/query';

const again = () => refresh('house', 'orderCards', 'order', 'bench', 'learned');

export function useHouse() {
  const { data, error } = useRoute('house', {});
  const write = useMutation({
    mutationFn: ({ house, what, from }: { house: House; what: string; from: Reply<'house'> }) =>
      saveUndoably(what, async () => {
        const saved = await call('putHouse', { body: house, ifMatch: from.version });
        await again();
        return async () => {
          await call('putHouse', { body: from.house, ifMatch: saved.version });
          await again();
        };
      }),
  });
  /** Saves a house changed from one that was seen, by default as it is now; `what` is what the rail will offer to undo. What went wrong is `fault`. */
  const save = async (house: House, what: string, from = data): Promise<void> => {
    if (from) await write.mutateAsync({ house, what, from }).catch(() => undefined);
  };
  return { data, error, fault: write.error, pending: write.isPending, save };
}
