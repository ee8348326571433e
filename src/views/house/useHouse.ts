/** The house's document, and saving it with an undo on the rail. */
import type { Reply } from '../../contract';
import type { House } from '../../core/house';
import { known, useRoute } from '../../ui/query';
import { useSave, write } from '../../ui/write';

const put = async (body: House, ifMatch: number): Promise<number> =>
  (await write('putHouse', { body, ifMatch }, (saved) => known('house', {}, () => saved))).version;

export function useHouse() {
  const { data, error } = useRoute('house', {});
  const { save, pending, fault } = useSave(
    ({ what }: { house: House; what: string; from: Reply<'house'> }) => what,
    async ({ house, from }) => {
      const version = await put(house, from.version);
      return async () => void (await put(from.house, version));
    },
  );
  /** Saves a house changed from one that was seen, by default as it is now; `what` is what the rail will offer to undo. What went wrong is `fault`. */
  const saveHouse = async (house: House, what: string, from = data): Promise<boolean> => (from ? save({ house, what, from }) : false);
  return { data, error, fault, pending, save: saveHouse };
}
