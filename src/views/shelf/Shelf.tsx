/** The shelf: every transfer's window and every fabric's limits on the app's one temperature axis. */
import { useState } from 'react';
import type { ShelfReply } from '../../contract';
import { useUnits } from '../../ui/house';
import { Island, Pending, useRoute } from '../../ui/query';
import { AxisHead, AxisRow } from './AxisRow';
import { BlankDetail, FabricDetail, ProductDetail } from './Details';
import { byMark, byWindow, fabricMark, productMark } from './marks';

export function Shelf() {
  return (
    <Island>
      <ShelfPage />
    </Island>
  );
}

function ShelfPage() {
  const { data, error } = useRoute('shelf', {});
  const [chosen, setChosen] = useState<string | null>(null);
  if (!data) return <Pending error={error} what="the shelf" />;
  const empty = data.products.length + data.fabrics.length + data.blanks.length === 0;
  return (
    <div className="mx-auto max-w-[1240px] px-5 pt-5">
      <h1 className="pb-1">Shelf</h1>
      {empty ? (
        <p className="rule-top max-w-prose py-6">
          The shelf is empty. Fabrics, blanks and transfers come onto it from suppliers’ sheets; the demo shop (npm run demo) shows one that
          is filled.
        </p>
      ) : (
        <div className="grid grid-cols-[1fr_22rem] gap-8">
          <ShelfLists shelf={data} chosen={chosen} onChoose={setChosen} />
          <Detail shelf={data} id={chosen ?? byWindow(data.products)[0]?.id ?? null} />
        </div>
      )}
    </div>
  );
}

function ShelfLists({ shelf, chosen, onChoose }: { shelf: ShelfReply; chosen: string | null; onChoose: (id: string) => void }) {
  const { unit } = useAxisUnit();
  const on = chosen ?? byWindow(shelf.products)[0]?.id;
  return (
    <div>
      <AxisHead unit={unit} />
      <h2 className="rule-bottom pb-1">Transfers, by the window of their sheet</h2>
      {byWindow(shelf.products).map((product) => (
        <AxisRow
          key={product.id}
          name={product.name}
          detail={product.maker}
          mark={productMark(product)}
          on={on === product.id}
          onChoose={() => onChoose(product.id)}
          unit={unit}
        />
      ))}
      <h2 className="rule-bottom pt-5 pb-1">Fabrics, by what their weakest fibre bears for 15 s</h2>
      {byMark(shelf.fabrics).map((fabric) => (
        <AxisRow
          key={fabric.id}
          name={fabric.name}
          detail={`${fabric.massGsm} g/m², ${fabric.texture}`}
          mark={fabricMark(fabric)}
          on={on === fabric.id}
          onChoose={() => onChoose(fabric.id)}
          unit={unit}
        />
      ))}
      <h2 className="rule-bottom pt-5 pb-1">Blanks</h2>
      {shelf.blanks.map((blank) => (
        <AxisRow
          key={blank.id}
          name={blank.name}
          detail={`${blank.colour}, ${blank.sizes.length > 1 ? `${blank.sizes[0]} to ${blank.sizes.at(-1)}` : blank.sizes[0]}`}
          mark={fabricMark(
            shelf.fabrics.find((f) => f.id === blank.fabricId),
            blank,
          )}
          on={on === blank.id}
          onChoose={() => onChoose(blank.id)}
          unit={unit}
        />
      ))}
    </div>
  );
}

const useAxisUnit = () => ({ unit: useUnits().temperature });

function Detail({ shelf, id }: { shelf: ShelfReply; id: string | null }) {
  const product = shelf.products.find((one) => one.id === id);
  const fabric = shelf.fabrics.find((one) => one.id === id);
  const blank = shelf.blanks.find((one) => one.id === id);
  return (
    <aside className="sticky top-4 self-start" aria-label="Detail">
      {product && <ProductDetail product={product} />}
      {fabric && <FabricDetail fabric={fabric} />}
      {blank && <BlankDetail blank={blank} fabric={shelf.fabrics.find((one) => one.id === blank.fabricId)} />}
    </aside>
  );
}
