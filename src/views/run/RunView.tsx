/** Station Run of an order: dark, one cue, the whole screen is the button. */
import { useRef } from 'react';
import { finishedPieces, stationHref } from '../../core/log';
import { Island, Pending, useRoute } from '../../ui/query';
import { RunScreen } from './RunScreen';

interface RunViewProps {
  orderId: string;
  lineId: string | null;
  /** Which print of the line; null: whichever is being pressed. */
  printKey: string | null;
  runId: string | null;
}

export function RunView(props: RunViewProps) {
  return (
    <Island>
      <RunOfLine {...props} />
    </Island>
  );
}

function RunOfLine({ orderId, lineId, printKey, runId }: RunViewProps) {
  const order = useRoute('order', { params: { id: orderId } });
  const openOf = ({ prints }: { prints: { printKey: string; openRunId: string | null }[] }) => {
    const open = prints.filter((print) => print.openRunId !== null);
    return (open.find((print) => print.printKey === printKey) ?? open[0])?.openRunId ?? null;
  };
  const line = order.data?.lines.find((line) => (lineId ? line.lineId === lineId : openOf(line) !== null));
  // once shown, a run stays on the screen after its last piece, though its line no longer has an open one
  const shown = useRef(runId);
  shown.current ??= line ? openOf(line) : null;
  const run = useRoute('run', { params: { id: shown.current ?? '' } }, shown.current !== null);
  if (!order.data) return <Pending error={order.error} what="the run" />;
  if (shown.current === null)
    return <NothingRuns orderId={orderId} lineId={line?.lineId ?? null} left={line ? line.count - finishedPieces(line) : 0} />;
  if (!run.data) return <Pending error={run.error} what="the run" />;
  return <RunScreen key={shown.current} reply={run.data} />;
}

function NothingRuns({ orderId, lineId, left }: { orderId: string; lineId: string | null; left: number }) {
  return (
    <div className="mx-auto max-w-prose p-8">
      <h1>Nothing is being pressed on this line.</h1>
      <p className="py-3 text-night-soft">
        {left > 0 ? `${left} pieces are left. Look at the card once more and start from there.` : 'Every piece has been pressed.'}
      </p>
      <a className="act border-amber text-amber" href={stationHref(orderId, left > 0 ? 'card' : 'record', { lineId })}>
        {left > 0 ? 'Open the card' : 'See the record'}
      </a>
    </div>
  );
}
