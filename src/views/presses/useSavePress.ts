/** Saves a change to a press’s facts, undoably, against the version it was made from. */
import { useMutation } from '@tanstack/react-query';
import { call } from '../../contract';
import type { Press } from '../../core/press';
import { saveUndoably } from '../../ui/acts';
import { refresh } from '../../ui/query';

const again = () => refresh('presses', 'pressReport', 'orderCards', 'order', 'bench', 'rail');

/**
 * @param version last seen; null: the press is new
 * @returns `save` answers whether it was saved
 */
export function useSavePress(press: Press, version: number | null) {
  const write = useMutation({
    mutationFn: (next: Press) =>
      saveUndoably(`${press.name} changed`, async () => {
        const saved = await call('putPress', { params: { id: press.id }, body: next, ...(version === null ? {} : { ifMatch: version }) });
        await again();
        if (version === null) return null;
        return async () => {
          await call('putPress', { params: { id: press.id }, body: press, ifMatch: saved.version });
          await again();
        };
      }),
  });
  const save = (next: Press): Promise<boolean> =>
    write.mutateAsync(next).then(
      () => true,
      () => false,
    );
  return { save, pending: write.isPending, fault: write.error };
}
