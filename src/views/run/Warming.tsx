/** The base as it warms under the empty press: how long it has been shut, how hot it is about, and what may begin. */
import type { Card } from '../../core/card';
import { baseHeat, baseShare, firstHeat, marryInS, type RunPlan, type RunState } from '../../core/run';
import { formatDuration, formatQuantity } from '../../core/units';
import { useSecondsTo } from '../../ui/clock';

interface WarmingProps {
  plan: RunPlan;
  run: RunState;
  card: Card;
  /** When the press was shut, ms. */
  since: number;
}

/** A clock that counts up is redrawn so long at most, ms. */
const AT_MOST_MS = 3_600_000;

export function Warming({ plan, run, card, since }: WarmingProps) {
  const now = useSecondsTo([since + AT_MOST_MS], since);
  const share = baseShare(run, now);
  const heat = baseHeat(plan, share, firstHeat(card));
  const marries = card.stages.some(({ kind }) => kind === 'marry');
  const leftS = Math.ceil(marryInS(share));
  return (
    <p className="pt-5 text-2xl" role="status">
      <span className="figure text-6xl font-semibold">{formatDuration(Math.max(0, Math.round((now - since) / 1000)))}</span> shut
      {heat && (
        <>
          ; the base is at about <span className="figure">{formatQuantity(Math.round(heat.baseC), card.window.settable.unit)}</span>
        </>
      )}
      {marries && (
        <span className="block pt-2 text-night-soft">
          {leftS > 0 ? `A marry may begin in about ${formatDuration(leftS)}.` : 'A marry may begin.'}
        </span>
      )}
      {heat?.burns && (
        <span className="block pt-2 text-amber">The base burns by now: gloves, and keep the blank off it until you load.</span>
      )}
    </p>
  );
}
