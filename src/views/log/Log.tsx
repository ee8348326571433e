/** The log: every pressing that was ever recorded, found by its words, taken out as CSV. */
import { useDeferredValue, useState } from 'react';
import { API } from '../../contract';
import { ChoiceField, TextField } from '../../ui/Field';
import { Island, Pending, useRoute } from '../../ui/query';
import { PressingTable } from './PressingTable';

export function Log({ initialQuery }: { initialQuery: string }) {
  return (
    <Island>
      <LogSearch initialQuery={initialQuery} />
    </Island>
  );
}

const STEP = 100;
const OUTCOMES = [
  { value: '', text: 'however it came out' },
  { value: 'good', text: 'good' },
  { value: 'spoiled', text: 'spoiled' },
] as const;
type Outcome = (typeof OUTCOMES)[number]['value'];

function LogSearch({ initialQuery }: { initialQuery: string }) {
  const [typed, setTyped] = useState(initialQuery);
  const [outcome, setOutcome] = useState<Outcome>('');
  const [limit, setLimit] = useState(STEP);
  const q = useDeferredValue(typed).trim();
  const filter = { ...(q ? { q } : {}), ...(outcome ? { outcome } : {}) };
  const { data, error } = useRoute('pressings', { query: { ...filter, limit } });
  const csv = `${API}/pressings.csv?${new URLSearchParams(filter)}`;
  return (
    <div className="mx-auto max-w-[1240px] px-5 pt-5">
      <div className="flex items-end gap-5">
        <h1 className="pb-7">Log</h1>
        <div className="w-96">
          <TextField
            label="Find by any words: order, blank, transfer, press, reason, note"
            type="search"
            value={typed}
            onChange={setTyped}
          />
        </div>
        <div className="w-56">
          <ChoiceField label="Came out" value={outcome} options={OUTCOMES} onChange={setOutcome} />
        </div>
        <p className="label flex-1 pb-8" role="status">
          {data ? (data.total === 1 ? 'one pressing' : `${data.total} pressings`) : ''}
        </p>
        <a className={`act mb-5 ${data?.total ? '' : 'invisible'}`} href={csv} download="pressings.csv">
          Take out as CSV
        </a>
      </div>
      {!data ? (
        <Pending error={error} what="the log" />
      ) : data.total === 0 ? (
        <p className="rule-top max-w-prose py-6">
          {q || outcome
            ? 'No pressing has all of these words. Try fewer of them.'
            : 'No pressing yet. Each piece that gets its verdict in a run is recorded here by itself, as carded; there is nothing to fill in.'}
        </p>
      ) : (
        <>
          <PressingTable pressings={data.pressings} withOrder />
          {data.more && (
            <button type="button" className="act my-4" onClick={() => setLimit(limit + STEP)}>
              Show {STEP} older ones
            </button>
          )}
        </>
      )}
    </div>
  );
}
