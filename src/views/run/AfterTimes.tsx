/** Closings and peels of a run against the plan. */
import { formatDuration, formatFigure } from '../../core/units';
import { DataTable } from '../../ui/DataTable';

const offWords = (late: number, early: number): string =>
  late + early === 0 ? 'none' : [late && `${late} late`, early && `${early} early`].filter(Boolean).join(', ');

/** A line of a table of times: as carded and as it was. */
interface TimesRow {
  what: string;
  plannedS: number;
  meanS: number;
  n: number;
  late: number;
  early: number;
}

export function AfterTimes({ caption, plan, off, rows }: { caption: string; plan: string; off: string; rows: readonly TimesRow[] }) {
  return (
    <DataTable
      look="mb-6 w-full table-fixed text-left text-xl"
      headLook="text-base text-night-soft"
      caption={caption}
      captionLook="pb-1 text-left text-base font-bold text-night-soft"
      rowLook={() => 'border-t border-night-line'}
      columns={[
        { id: 'what', head: '', cell: ({ what }) => what, namesRow: true },
        {
          head: plan,
          cell: ({ plannedS }) => (plannedS === 0 ? 'at once' : <span className="figure">{formatDuration(plannedS)}</span>),
        },
        {
          head: 'on average',
          figures: true,
          cell: ({ meanS }) => (meanS < 60 ? `${formatFigure(meanS, 's', 1)} s` : formatDuration(Math.round(meanS))),
        },
        { head: 'of', cell: ({ n }) => n, figures: true },
        { head: off, cell: ({ late, early }) => offWords(late, early) },
      ]}
      rows={rows}
      idOf={({ what }) => what}
    />
  );
}
