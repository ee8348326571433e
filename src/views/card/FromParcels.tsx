/** The parcels a card's transfers are taken from: where they lie, what is short, and what is to be settled before the first piece. */
import type { Card } from '../../core/card';
import { parcelCautions, parcelsFor, parcelsReach } from '../../core/run';
import { isOfParcel, type Product } from '../../core/sheet';
import { isoDayText } from '../../ui/days';
import { Says } from '../../ui/Says';
import { useStock } from '../shelf/useStock';

interface FromParcelsProps {
  card: Card;
  /** Pieces left to press. */
  left: number;
  products: readonly Pick<Product, 'id' | 'source'>[];
}

export function FromParcels({ card: { of }, left, products }: FromParcelsProps) {
  const stock = useStock();
  const own = stock.filter(({ parcel }) => of.layers.some(({ productId }) => isOfParcel(parcel, { productId, artName: of.artName })));
  const parcels = parcelsFor(of, left, own, products);
  const away = own.map(({ parcel }) => parcel).filter(({ arrivedOn, retiredOn }) => arrivedOn === null && !retiredOn);
  if (left === 0 || parcels.length + away.length === 0) return null;
  const there = parcelsReach(parcels);
  const short = parcels.length > 0 && there !== null && there < left ? left - there : 0;
  return (
    <section aria-label="Transfers" className="rule-top py-2">
      <p className="flex min-h-12 flex-wrap items-center gap-x-2">
        <span>Transfers from</span>
        {parcels.map(({ id, name, lies, left: inIt }) => (
          <span key={id}>
            <a href={`/shelf?kind=parcels&on=${id}`}>{name}</a>
            <span className="label">
              {lies && ` ${lies}`}
              {inIt === null ? ', never counted' : `, ${inIt} in it`}
            </span>
          </span>
        ))}
        {away.map(({ id, name, expectedOn }) => (
          <span key={id}>
            <a href={`/shelf?kind=parcels&on=${id}`}>{name}</a>
            <span className="label"> on its way{expectedOn && `, promised for ${isoDayText(expectedOn)}`}</span>
          </span>
        ))}
        {short > 0 && <span className="font-semibold text-brick">{short} short</span>}
      </p>
      {parcels.flatMap((parcel) =>
        parcelCautions(parcel).map((words, i) => (
          <p key={`${parcel.id} ${i}`} className="border-l-4 border-amber py-0.5 pl-3">
            <Says words={words} />
          </p>
        )),
      )}
    </section>
  );
}
