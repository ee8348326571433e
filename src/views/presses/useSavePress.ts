/** Saves a change to a press’s facts, undoably, against the version it was made from. */
import type { Press } from '../../core/press';
import { known } from '../../ui/query';
import { useSave, write } from '../../ui/write';

async function put(body: Press, ifMatch: number | null): Promise<number> {
  const args = { params: { id: body.id }, body, ...(ifMatch !== null && { ifMatch }) };
  const { version } = await write('putPress', args, (saved) =>
    known('presses', {}, (was) => ({
      ...was,
      presses: was.presses.map((press) => (press.press.id === body.id ? { ...press, ...saved } : press)),
    })),
  );
  return version;
}

/**
 * @param version last seen; null: the press is new
 * @returns `save` answers whether it was saved
 */
export const useSavePress = (press: Press, version: number | null) =>
  useSave(
    () => `${press.name} changed`,
    async (next: Press) => {
      const saved = await put(next, version);
      return version === null ? null : async () => void (await put(press, saved));
    },
  );
