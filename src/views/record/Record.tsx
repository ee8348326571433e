/** Station Record of an order: how each of its pieces came out. */
import { API } from '../../contract';
import { finishedPieces, spoiledPieces } from '../../core/log';
import { Fault } from '../../ui/Fault';
import { Island, Pending, useRoute } from '../../ui/query';
import { Teach } from '../../ui/Teach';
import { PressingTable } from '../log/PressingTable';
import { OrderHead } from '../orders/OrderHead';
import { useOrder } from '../orders/useOrder';
import { People } from './People';

export function Record({ orderId }: { orderId: string }) {
  return (
    <Island>
      <RecordOf orderId={orderId} />
    </Island>
  );
}

const MOST = 500;

function RecordOf({ orderId }: { orderId: string }) {
  const { data, error, fault, save } = useOrder(orderId);
  const log = useRoute('pressings', { query: { orderId, limit: MOST } });
  if (!data || !log.data) return <Pending error={error ?? log.error} what="the record" />;
  return (
    <>
      <OrderHead state={data} station="record" lineId={null}>
        {log.data.total > 0 && (
          <a className="act" href={`${API}/pressings.csv?orderId=${encodeURIComponent(orderId)}`} download="pressings.csv">
            Export CSV
          </a>
        )}
      </OrderHead>
      <div className="mx-auto max-w-[77.5rem] px-5 pt-4">
        <ul className="flex flex-wrap gap-8 pb-4">
          {data.lines.map((line) => {
            const doc = data.order.lines.find((otherLine) => otherLine.id === line.lineId);
            const spoiled = spoiledPieces(line);
            return (
              <li key={line.lineId} className="leading-tight">
                <span className="text-2xl font-semibold">
                  <span className="figure">{finishedPieces(line)}</span> of <span className="figure">{line.count}</span>
                </span>{' '}
                finished, {doc?.size}
                <span className="label block">
                  {doc?.prints.map((print) => print.artName).join(', ')}
                  {spoiled > 0 ? `, ${spoiled} spoiled` : ''}
                </span>
              </li>
            );
          })}
        </ul>
        <Fault of={fault} className="pb-2 text-brick" />
        <People state={data} onOrder={(order, what) => void save(order, what)} />
        {log.data.total === 0 ? (
          <Teach drawing="record">
            Nothing of this order has been pressed. Every piece will stand here with what was set and how it came out.
          </Teach>
        ) : (
          <PressingTable pressings={log.data.pressings} />
        )}
        {log.data.more && (
          <p className="label py-3">
            The newest {MOST} are shown; the CSV has all {log.data.total}.
          </p>
        )}
      </div>
    </>
  );
}
