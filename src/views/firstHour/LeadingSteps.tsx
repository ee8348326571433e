/** Steps that are taken on a page of their own: measuring, the first order, its card, its first piece. Each is led there, and the rail leads back. */
import { stationHref } from '../../core/log';
import { goOnceKept } from '../shell/goTo';
import type { Doing } from './doing';

export function MeasureStep({ shop: { pressId } }: Doing) {
  if (!pressId) return null;
  return (
    <>
      <p className="border-l-4 border-amber pb-1 pl-3">
        The platen burns. Hold the probe by its handle, wear gloves, and keep your hands out as it closes. Its maker’s instructions come
        first.
      </p>
      <div className="flex flex-wrap gap-4 pt-4">
        <a className="act act-main" href={`/presses/${encodeURIComponent(pressId)}/survey`}>
          Survey it, five minutes
        </a>
        <a className="act" href={`/presses?on=${encodeURIComponent(pressId)}&check=1`}>
          One reading at the centre
        </a>
      </div>
      <p className="label pt-2">
        With a probe, an infrared gun or heat strips. Nine places tell of cold corners too; one reading tells how far off it is.
      </p>
    </>
  );
}

export const OrderStep = () => (
  <a className="act act-main" href="/orders#new">
    Start the first order
  </a>
);

export function CardStep({ shop: { order }, onDone }: Doing) {
  if (!order) return null;
  const href = stationHref(order.orderId, 'card', order);
  return (
    <button type="button" className="act act-main" onClick={() => void goOnceKept(onDone(), href)}>
      Open the card
    </button>
  );
}

export function PieceStep({ shop: { order } }: Doing) {
  if (!order) return null;
  return (
    <a className="act act-main" href={stationHref(order.orderId, 'run', order)}>
      Press the first piece
    </a>
  );
}
