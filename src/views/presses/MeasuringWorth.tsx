/** What measuring a press is worth to the open work: each measurement with the pieces it is expected to save and the lamps it would change. */
import type { Press } from '../../core/press';
import { useRoute } from '../../ui/query';
import { lampWords, measureWords, savedWords } from '../../ui/worthWords';

export function MeasuringWorth({ press }: { press: Press }) {
  const { data, error } = useRoute('measuringWorth', { query: { press: press.id } });
  const own = data?.worth ?? [];
  const [first] = own;
  return (
    <section className="pt-4" aria-label="What measuring is worth">
      <h3 className="pb-1">What measuring is worth</h3>
      {!data && (
        <p className="label" role="status">
          {error ? 'It could not be worked out just now.' : 'Working it out: every open print, for every way a survey may come out …'}
        </p>
      )}
      {data && !first && (
        <p className="max-w-prose">
          {press.calibration
            ? 'Nothing that is open on this press would be judged otherwise.'
            : 'Nothing is open on this press. Measured, the next print on it begins better known.'}
        </p>
      )}
      {first && (
        <p className="label pb-1">
          {first.prints} open {first.prints === 1 ? 'print' : 'prints'} on it, {first.pieces} {first.pieces === 1 ? 'piece' : 'pieces'}{' '}
          left; about {first.spoiledNow.toFixed(1)} expected to be spoiled as things are.
        </p>
      )}
      <ol>
        {own.map((worth) => (
          <li key={measureWords(worth)} className="rule-bottom grid grid-cols-[1fr_6rem] gap-4 py-2">
            <span>
              <strong>{measureWords(worth)}</strong>
              <span className="block">
                Saves {savedWords(worth)}; {lampWords(worth)}.
              </span>
            </span>
            <span className="figure text-right">{worth.minutes} min</span>
          </li>
        ))}
      </ol>
    </section>
  );
}
