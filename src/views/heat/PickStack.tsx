/** Which stack from the shelf: a blank, a transfer and a press. */
import type { ShelfReply } from '../../contract';
import type { Press } from '../../core/press';
import { FAMILIES } from '../../core/sheet';
import { PickField } from '../orders/PickField';
import { goTo } from '../shell/goTo';

export interface Picked {
  blank: string;
  product: string;
  press: string;
}

export function PickStack({ shelf, presses, picked }: { shelf: ShelfReply; presses: readonly Press[]; picked: Picked }) {
  const take = (change: Partial<Picked>) => goTo(`/heat-bench?${new URLSearchParams({ ...picked, ...change })}`);
  const there = <T extends { retiredOn?: string | undefined }>(all: readonly T[]) => all.filter((candidate) => !candidate.retiredOn);
  const fabricOf = (id: string) => shelf.fabrics.find((fabric) => fabric.id === id)?.name ?? '';
  return (
    <div className="grid max-w-[56.25rem] grid-cols-3 gap-x-4 pt-2 narrow:grid-cols-1">
      <PickField
        label="Blank"
        items={there(shelf.blanks).map((blank) => ({ id: blank.id, name: blank.name, detail: fabricOf(blank.fabricId) }))}
        value={picked.blank}
        onChange={(blank) => blank !== picked.blank && take({ blank })}
      />
      <PickField
        label="Transfer"
        items={there(shelf.products).map((product) => ({ id: product.id, name: product.name, detail: FAMILIES[product.familyId].name }))}
        value={picked.product}
        onChange={(product) => product !== picked.product && take({ product })}
      />
      <PickField
        label="Press"
        items={there(presses).map((press) => ({ id: press.id, name: press.name, detail: press.kind }))}
        value={picked.press}
        onChange={(press) => press !== picked.press && take({ press })}
      />
    </div>
  );
}
