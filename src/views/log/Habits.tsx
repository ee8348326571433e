/** How each operator’s prints lie off their place, where some were measured. */
import type { Reply } from '../../contract';
import { formatTape } from '../../core/units';
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
      <table className="w-full max-w-3xl text-left">
        <thead className="label">
          <tr>
            <th className="py-1 font-normal">Pressed by</th>
            <th className="font-normal">Position</th>
            <th className="font-normal">Measured</th>
            <th className="font-normal">Down</th>
            <th className="font-normal">Across</th>
            <th className="font-normal">Turned</th>
          </tr>
        </thead>
        <tbody>
          {biases.map((one) => (
            <tr key={`${one.operator} ${one.position}`} className="rule-top">
              <td className="py-1">{one.operator || 'no initials'}</td>
              <td>{one.position}</td>
              <td className="figure">{one.n}</td>
              <td>{lean(one.down, 'high', 'low')}</td>
              <td>{lean(one.across, 'left', 'right')}</td>
              <td>
                {one.turn.sure ? <b className="figure">{`${one.turn.mean.toFixed(1)}°`}</b> : <span className="label">no habit</span>}
              </td>
            </tr>
          ))}
        </tbody>
      </table>
    </section>
  );
}
