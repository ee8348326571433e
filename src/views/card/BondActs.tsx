/** What the card's heat comes to in one line, with the seconds that would better it, and what the log says of it, which may be left out. */
import { useState } from 'react';
import { call } from '../../contract';
import type { Card } from '../../core/card';
import { formatDuration } from '../../core/units';
import { didUndoably } from '../../ui/acts';
import { errorWords, refresh, useRoute } from '../../ui/query';

interface BondActsProps {
  card: Card;
  heatHref: string;
  /** Chooses a time for the print. */
  onTime: (timeS: number) => void;
}

const again = () => refresh('house', 'orderCards', 'order', 'bench', 'learned');

export function BondActs({ card, heatHref, onTime }: BondActsProps) {
  const house = useRoute('house', {});
  const [fault, setFault] = useState<unknown>(null);
  const { heat, set, of } = card;
  if (!heat) return null;
  const { correction, learned } = heat;
  const by = correction ? correction.timeS - set.timeS : 0;
  const leaveOut = async () => {
    if (!house.data) return;
    const { house: before, version } = house.data;
    const rest = (before.forgotten ?? []).filter((one) => one.pressId !== of.pressId || one.productId !== of.productId);
    try {
      const saved = await call('putHouse', {
        body: { ...before, forgotten: [...rest, { pressId: of.pressId, productId: of.productId, until: Date.now() }] },
        ifMatch: version,
      });
      await again();
      didUndoably({
        what: 'what the log says left out',
        undo: async () => {
          await call('putHouse', { body: before, ifMatch: saved.version });
          await again();
        },
      });
    } catch (error) {
      setFault(error);
    }
  };
  return (
    <section aria-label="Bond" className="flex flex-wrap items-center gap-x-6 py-1">
      <p>
        Bond about <span className="figure font-semibold">{heat.bond.toFixed(2)}</span>{' '}
        <span className="label">
          nine in ten <span className="figure">{`${heat.low.toFixed(2)} to ${heat.high.toFixed(2)}`}</span>
        </span>
      </p>
      {correction?.feasible && (
        <button type="button" className="act act-quiet px-0 underline" onClick={() => onTime(correction.timeS)}>
          {formatDuration(Math.abs(by))} {by > 0 ? 'more' : 'less'} for {correction.bond.toFixed(2)}: take{' '}
          {formatDuration(correction.timeS)}
        </button>
      )}
      <a className="act act-quiet px-0 underline" href={heatHref}>
        On the Heat bench
      </a>
      {learned && learned.shift !== 1 && (
        <button type="button" className="act act-quiet px-0 underline" onClick={() => void leaveOut()}>
          Leave out what {learned.n} pressings say (× {learned.shift.toFixed(2)})
        </button>
      )}
      {fault ? (
        <p role="alert" className="text-brick">
          {errorWords(fault)}
        </p>
      ) : null}
    </section>
  );
}
