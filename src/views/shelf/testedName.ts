/** What a tested setting is called while nobody names it: transfer, material, press. */
import type { ShelfReply } from '../../contract';
import type { Press } from '../../core/press';
import type { Tested } from '../../core/sheet';

export function testedName(
  { productId, pressId, on }: Tested,
  { shelf, presses }: { shelf: ShelfReply; presses: readonly Press[] },
): string {
  const nameIn = (all: readonly { id: string; name: string }[], id: string) => all.find((candidate) => candidate.id === id)?.name;
  const material = nameIn(on.kind === 'blank' ? shelf.blanks : shelf.fabrics, on.id);
  const [product, press] = [nameIn(shelf.products, productId), nameIn(presses, pressId)];
  return [product, material && `on ${material}`, press && `at ${press}`].filter(Boolean).join(' ').slice(0, 80);
}
