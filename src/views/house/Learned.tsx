/** What the log has taught of each press with each transfer: a shift, the pressings it rests on, and the click that leaves it out. */

import { Fault } from '../../ui/Fault';
import { useRoute } from '../../ui/query';
import { useLeaveOut } from '../card/useLeaveOut';

export function Learned() {
  const { data } = useRoute('learned', {});
  const { leaveOut, fault } = useLeaveOut();
  if (!data) return null;
  const taken = data.learned.filter(({ shift }) => shift !== 1);
  const waiting = data.learned.length - taken.length;
  return (
    <section aria-label="What the log has taught" className="rule-top mt-6 pt-4">
      <h2>What the log has taught</h2>
      <p className="max-w-prose pt-1 pb-2">
        Where pieces lifted, were laid back or came out sunk, the bond worked out for a press and a transfer is shifted. Every card counts
        it in and says so. {waiting > 0 && `${waiting} ${waiting === 1 ? 'pair has' : 'pairs have'} too few pressings to say anything yet.`}
      </p>
      {taken.length === 0 ? (
        <p className="label">Nothing yet: it takes four pressings of one transfer on one press.</p>
      ) : (
        <ul>
          {taken.map(({ pressId, productId, pressName, productName, shift, sd, n }) => (
            <li key={`${pressId} ${productId}`} className="rule-top grid grid-cols-[1fr_auto] items-center gap-x-3 py-1">
              <span>
                {productName} on {pressName}
                <span className="label block">
                  bond <span className="figure">{`× ${shift.toFixed(2)} ± ${(shift * sd).toFixed(2)}`}</span>, from{' '}
                  <span className="figure">{n}</span> pressings
                </span>
              </span>
              <button
                type="button"
                className="act act-quiet whitespace-nowrap underline"
                onClick={() => void leaveOut({ pressId, productId })}
              >
                Do not use it
              </button>
            </li>
          ))}
        </ul>
      )}
      <Fault of={fault} />
    </section>
  );
}
