/** The first pieces of a day from a cold base: which is the first sound one, how much longer each wants, or how long to warm the base. */
import { useEffect, useState } from 'react';
import type { Series } from '../../core/heat';
import { formatDuration, formatQuantity, type HouseUnits } from '../../core/units';
import { heatDesk } from '../../workers/heat';
import type { Variant } from './variant';

const PIECES = 8;
/** From one piece’s last stage to the next one’s loading, s: an unhurried pair of hands. */
const REST_S = 20;

interface First {
  series: Series;
  warmS: number | null;
}

export function FirstPieces({ variant, house }: { variant: Variant; house: HouseUnits }) {
  const [first, setFirst] = useState<First | null>(null);
  const [fault, setFault] = useState<string | null>(null);
  const key = JSON.stringify(variant);
  useEffect(() => {
    let late = false;
    const { ask } = JSON.parse(key) as Variant;
    const cold = { ...ask, piece: { ...ask.piece, baseC: ask.piece.roomC } };
    setFirst(null);
    heatDesk
      .ask((api) => api.firstPieces(cold, PIECES, REST_S))
      .then((answer) => {
        if (late) return;
        setFirst(answer);
        setFault(null);
      })
      .catch((error: unknown) => !late && setFault(error instanceof Error ? error.message : 'It broke off.'));
    return () => {
      late = true;
    };
  }, [key]);
  if (fault)
    return (
      <p role="alert" className="border-l-4 border-brick pl-3 text-brick">
        {fault}
      </p>
    );
  if (!first) return <p className="label p-4">Reckoning {PIECES} pieces one after another …</p>;
  const { series, warmS } = first;
  const { timeS } = variant.ask.passage;
  return (
    <section aria-label="First pieces" className="pt-2">
      <p className="max-w-prose pb-2">
        From a base as cold as the room, {formatQuantity(variant.ask.piece.roomC, house.temperature)}:{' '}
        {series.firstSound === null
          ? 'none of the first pieces is sound at this setting.'
          : series.firstSound === 1
            ? 'the first piece is sound already.'
            : `piece ${series.firstSound} is the first sound one.`}{' '}
        {warmS === null
          ? 'Shutting the press empty for ten minutes would not make the first one as good as the last.'
          : warmS === 0
            ? 'There is nothing to warm.'
            : `Shut the press empty for ${formatDuration(warmS)} first, and the first piece is as good as the last.`}
      </p>
      <table className="border-collapse text-right">
        <thead>
          <tr className="label">
            {['piece', 'bond', 'glue as it opens', 'to be like the last'].map((name, i) => (
              <th key={name} className={`py-1 pr-8 font-normal ${i === 0 ? 'text-left' : ''}`}>
                {name}
              </th>
            ))}
          </tr>
        </thead>
        <tbody>
          {series.pieces.map(({ bond, openC, wantsS }, i) => (
            <tr key={i} className={`rule-top ${i + 1 === series.firstSound ? 'font-semibold' : ''}`}>
              <td className="figure py-1.5 pr-8 text-left">{i + 1}</td>
              <td className="figure py-1.5 pr-8">{bond.toFixed(2)}</td>
              <td className="figure py-1.5 pr-8">{formatQuantity(openC, house.temperature)}</td>
              <td className="py-1.5 pr-8">
                {wantsS === null ? (
                  'over twice the time'
                ) : wantsS - timeS < 0.1 ? (
                  'as it is'
                ) : (
                  <>
                    <span className="figure">{(wantsS - timeS).toFixed(1)} s</span> more
                  </>
                )}
              </td>
            </tr>
          ))}
        </tbody>
      </table>
    </section>
  );
}
