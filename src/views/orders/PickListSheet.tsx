/** The pick list of an order: what to lay out before it begins, to tick off or to print. */
import type { Reply } from '../../contract';
import { COVER_SHEETS } from '../../core/heat';
import { pickList } from '../../core/log';
import { formatForHouse, type HouseUnits } from '../../core/units';
import { useStock } from '../shelf/useStock';
import type { OrderState } from './useOrder';

interface PickListSheetProps {
  state: OrderState;
  cards: Reply<'orderCards'>['cards'];
  house: HouseUnits;
}

export function PickListSheet({ state, cards, house }: PickListSheetProps) {
  const { blanks, transfers, presses, held } = pickList(state.order.lines, state.lines, cards, useStock());
  const side = (mm: number) => formatForHouse('length', mm, house);
  const isEmpty = blanks.length === 0;
  return (
    <section className="max-w-4xl p-6" aria-label="Pick list">
      <div className="flex items-baseline justify-between gap-4">
        <h2 className="text-xl">Pick list: {state.order.name}</h2>
        {!isEmpty && (
          <button type="button" className="act print:hidden" onClick={() => window.print()}>
            Print
          </button>
        )}
      </div>
      {isEmpty && held.length === 0 && <p className="py-2">Nothing is left to press: there is nothing to lay out.</p>}
      {held.length > 0 && <p className="my-2 border-l-4 border-brick pl-3">On Hold, so not laid out: {held.join('; ')}.</p>}
      <Ticks name="Blanks" rows={blanks.map(({ name, colour, size, count }) => ({ count, says: `${name} ${size}`, more: colour }))} />
      <Ticks
        name="Transfers"
        rows={transfers.map(({ product, colour, art, widthMm, heightMm, count, from, short }) => ({
          count,
          says: `${art}, ${product}`,
          more: [colour, `${side(widthMm)} by ${side(heightMm)}`, ...from.map(parcelWords), short > 0 && `${short} short`]
            .filter(Boolean)
            .join(', '),
        }))}
      />
      {presses.map(({ name, covers, bases, pads, platens }) => (
        <Ticks
          key={name}
          name={name}
          rows={[
            ...covers.map((cover) => COVER_SHEETS[cover].name),
            ...bases.filter((base) => base !== 'usual pad'),
            ...pads,
            ...platens.map((platen) => `platen: ${platen}`),
          ].map((says) => ({ count: null, says, more: '' }))}
        />
      ))}
    </section>
  );
}

const parcelWords = ({ name, lies, left }: { name: string; lies: string; left: number | null }): string =>
  `from ${name}${lies ? ` (${lies})` : ''}${left === null ? '' : `: ${left} in it`}`;

interface Row {
  /** Null: once, for all of it. */
  count: number | null;
  says: string;
  more: string;
}

function Ticks({ name, rows }: { name: string; rows: readonly Row[] }) {
  if (rows.length === 0) return null;
  return (
    <>
      <h3 className="pt-4">{name}</h3>
      <ul aria-label={name}>
        {rows.map(({ count, says, more }) => (
          <li key={`${says} ${more}`} className="border-b border-line">
            <label className="flex min-h-12 items-center gap-3">
              <input type="checkbox" className="size-6 shrink-0 accent-teal" />
              {count !== null && <span className="figure w-10 text-right font-semibold">{count}</span>}
              <span>
                {says} <span className="label">{more}</span>
              </span>
            </label>
          </li>
        ))}
      </ul>
    </>
  );
}
