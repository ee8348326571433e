/** Closings and peels of a run against the plan. */
import { formatDuration, formatFigure } from '../../core/units';

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
    <table className="mb-6 w-full table-fixed border-collapse text-left text-xl">
      <caption className="pb-1 text-left text-base font-bold text-night-soft">{caption}</caption>
      <thead className="text-base text-night-soft">
        <tr>
          {['', plan, 'on average', 'of', off].map((heading) => (
            <th key={heading} className="font-normal">
              {heading}
            </th>
          ))}
        </tr>
      </thead>
      <tbody>
        {rows.map(({ what, plannedS, meanS, n, late, early }) => (
          <tr key={what} className="border-t border-night-line">
            <th className="py-1.5 font-normal">{what}</th>
            <td className={plannedS === 0 ? '' : 'figure'}>{plannedS === 0 ? 'at once' : formatDuration(plannedS)}</td>
            <td className="figure">{meanS < 60 ? `${formatFigure(meanS, 's', 1)} s` : formatDuration(Math.round(meanS))}</td>
            <td className="figure">{n}</td>
            <td>{offWords(late, early)}</td>
          </tr>
        ))}
      </tbody>
    </table>
  );
}
