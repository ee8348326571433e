/** The first pieces of a day from a cold base: which is the first sound one, how much longer each wants, or how long to warm the base. */
import { type ReactNode, useEffect, useState } from 'react';
import type { Series } from '../../core/heat';
import { formatDuration, formatQuantity, type HouseUnits } from '../../core/units';
import { type Column, DataTable } from '../../ui/DataTable';
import { heatWorker } from '../../workers/heat';
import type { Variant } from './variant';

const PIECES = 8;
/** From one piece’s last stage to the next one’s loading, s: an unhurried pair of hands. */
const REST_S = 20;

interface First {
  series: Series;
  warmS: number | null;
}

const columnsOf = (timeS: number, house: HouseUnits): Column<Series['pieces'][number]>[] => [
  { head: 'piece', cell: (_, i) => i + 1, figures: true, look: 'text-left' },
  { head: 'bond', cell: ({ bond }) => bond.toFixed(2), figures: true },
  { head: 'glue as it opens', cell: ({ openC }) => formatQuantity(openC, house.temperature), figures: true },
  { head: 'to be like the last', cell: ({ wantsS }) => moreTime(wantsS, timeS) },
];

function moreTime(wantsS: number | null, timeS: number): ReactNode {
  if (wantsS === null) return 'over twice the time';
  if (wantsS - timeS < 0.1) return 'as it is';
  return (
    <>
      <span className="figure">{(wantsS - timeS).toFixed(1)} s</span> more
    </>
  );
}

export function FirstPieces({ variant, house }: { variant: Variant; house: HouseUnits }) {
  const [first, setFirst] = useState<First | null>(null);
  const [fault, setFault] = useState<string | null>(null);
  const key = JSON.stringify(variant);
  useEffect(() => {
    let late = false;
    const { query } = JSON.parse(key) as Variant;
    const cold = { ...query, piece: { ...query.piece, baseC: query.piece.roomC } };
    setFirst(null);
    heatWorker
      .query((api) => api.firstPieces(cold, PIECES, REST_S))
      .then((answer) => {
        if (late) return;
        setFirst(answer);
        setFault(null);
      })
      .catch((error: unknown) => !late && setFault(error instanceof Error ? error.message : 'It stopped before its end.'));
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
  if (!first) return <p className="label p-4">Calculating {PIECES} pieces one after another …</p>;
  const { series, warmS } = first;
  return (
    <section aria-label="First pieces" className="pt-2">
      <p className="max-w-prose pb-2">
        From a base as cold as the room, {formatQuantity(variant.query.piece.roomC, house.temperature)}:{' '}
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
      <DataTable
        look="text-right"
        columns={columnsOf(variant.query.passage.timeS, house)}
        rows={series.pieces}
        idOf={(_, i) => String(i)}
        rowLook={(_, i) => `rule-top ${i + 1 === series.firstSound ? 'font-semibold' : ''}`}
      />
    </section>
  );
}
