/** How each operator’s prints lie off their place, where some were measured. */
import type { Reply } from '../../contract';
import { formatTape } from '../../core/units';
import { DataTable } from '../../ui/DataTable';
import { useUnits } from '../../ui/house';
import { useRoute } from '../../ui/query';

type Bias = Reply<'placementBias'>['biases'][number];

export function Habits() {
  const house = useUnits();
  const biases = useRoute('placementBias', {}).data?.biases ?? [];
  if (biases.length === 0) return null;
  const lean = ({ mean, sure }: Bias['across'], low: string, high: string) =>
    sure ? (
      <b className="figure">{`${formatTape(Math.abs(mean), house)} ${mean < 0 ? low : high}`}</b>
    ) : (
      <span className="label">no habit</span>
    );
  return (
    <section aria-label="Where prints came to lie" className="rule-top pt-3 pb-6">
      <h2>Where prints came to lie, as measured</h2>
      <DataTable
        look="w-full max-w-3xl text-left"
        columns={[
          { head: 'Pressed by', cell: ({ operator }) => operator || 'no initials' },
          { head: 'Position', cell: ({ position }) => position },
          { head: 'Measured', cell: ({ n }) => n, figures: true },
          { head: 'Down', cell: ({ down }) => lean(down, 'high', 'low') },
          { head: 'Across', cell: ({ across }) => lean(across, 'left', 'right') },
          {
            head: 'Turned',
            cell: ({ turn }) =>
              turn.sure ? <b className="figure">{`${turn.mean.toFixed(1)}°`}</b> : <span className="label">no habit</span>,
          },
        ]}
        rows={biases}
        idOf={(habit) => `${habit.operator} ${habit.position}`}
      />
    </section>
  );
}
