/** The log: every pressing that was ever recorded, found by its words, narrowed by what it was, taken out and brought in. */
import { useInfiniteQuery } from '@tanstack/react-query';
import { useDeferredValue, useState } from 'react';
import { API, call } from '../../contract';
import { ColumnChoice, useHiddenColumns } from '../../ui/ColumnChoice';
import { useDensity } from '../../ui/density';
import { ChoiceField, TextField } from '../../ui/Field';
import { useUnits } from '../../ui/house';
import { LeftOut } from '../../ui/LeftOut';
import { Island, Pending, useRoute } from '../../ui/query';
import { Teach } from '../../ui/Teach';
import { useNarrow } from '../../ui/useNarrow';
import { InAndOut } from '../shelf/InAndOut';
import { Habits } from './Habits';
import { listColumns, PressingList } from './PressingList';

export function Log({ initialQuery }: { initialQuery: string }) {
  return (
    <Island>
      <LogSearch initialQuery={initialQuery} />
    </Island>
  );
}

const PAGE = 200;
/** The server counts no further than this. */
const MOST_COUNTED = 10_000;

interface Filter {
  outcome: '' | 'good' | 'spoiled';
  fabric: string;
  product: string;
  press: string;
  from: string;
  to: string;
}
const NONE: Filter = { outcome: '', fabric: '', product: '', press: '', from: '', to: '' };

const OUTCOMES = [
  { value: '', text: 'good or spoiled' },
  { value: 'good', text: 'good' },
  { value: 'spoiled', text: 'spoiled' },
] as const;

const options = (any: string, names: readonly string[]) => [
  { value: '', text: any },
  ...names.map((name) => ({ value: name, text: name })),
];

/** Only what narrows. */
function asked(filter: Filter, q: string) {
  const { outcome, ...rest } = filter;
  const day = /^\d{4}-\d{2}-\d{2}$/;
  return {
    ...(q && { q }),
    ...(outcome && { outcome }),
    ...Object.fromEntries(
      Object.entries(rest).filter(([key, value]) => value !== '' && (key === 'from' || key === 'to' ? day.test(value) : true)),
    ),
  };
}

function countWords(total: number): string {
  if (total === 1) return 'one pressing';
  return total > MOST_COUNTED ? `more than ${MOST_COUNTED} pressings` : `${total} pressings`;
}

function LogSearch({ initialQuery }: { initialQuery: string }) {
  const [typed, setTyped] = useState(initialQuery);
  const [filter, setFilter] = useState(NONE);
  const [moving, setMoving] = useState(false);
  const [choosing, setChoosing] = useState(false);
  const [density, setDensity] = useDensity();
  const [hidden, setHidden] = useHiddenColumns('log');
  const house = useUnits();
  const q = useDeferredValue(typed).trim();
  const query = asked(filter, q);
  const { data, error, fetchNextPage, hasNextPage, isFetchingNextPage } = useInfiniteQuery({
    queryKey: ['pressings', query],
    queryFn: ({ pageParam }) => call('pressings', { query: { ...query, limit: PAGE, ...pageParam } }),
    initialPageParam: {},
    getNextPageParam: ({ more, pressings }) => {
      const last = pressings.at(-1);
      return more && last ? { before: last.endedAt, beforeId: last.id } : undefined;
    },
  });
  const total = data?.pages[0]?.total ?? 0;
  const rows = data?.pages.flatMap((page) => page.pressings) ?? [];
  const unreadable = data?.pages.flatMap((page) => page.unreadable) ?? [];
  const patch = (part: Partial<Filter>) => setFilter({ ...filter, ...part });
  const out = (kind: 'csv' | 'json') => `${API}/pressings.${kind}?${new URLSearchParams(query as Record<string, string>)}`;
  return (
    <div className="mx-auto max-w-[77.5rem] px-5 pt-4 narrow:px-4">
      <div className="flex flex-wrap items-end gap-x-4">
        <h1 className="pb-7 narrow:pb-2">Log</h1>
        <div className="w-[26rem] narrow:w-full">
          <TextField label="Find by any words: order, blank, transfer, reason, note" type="search" value={typed} onChange={setTyped} />
        </div>
        <p className="label flex-1 pb-8 narrow:pb-2" role="status">
          {data ? countWords(total) : ''}
        </p>
        <div className="flex flex-wrap gap-2 pb-5 narrow:pb-2">
          <a className={`act ${total ? '' : 'invisible'}`} href={out('csv')} download="pressings.csv">
            Export CSV
          </a>
          <a className={`act act-quiet ${total ? '' : 'invisible'}`} href={out('json')} download="pressings.json">
            JSON
          </a>
          <button
            type="button"
            className="act act-quiet narrow:hidden"
            onClick={() => setDensity(density === 'compact' ? 'roomy' : 'compact')}
          >
            {density === 'compact' ? 'Roomy rows' : 'Compact rows'}
          </button>
          <button type="button" className="act act-quiet narrow:hidden" aria-expanded={choosing} onClick={() => setChoosing(!choosing)}>
            Columns
          </button>
          <button type="button" className="act act-quiet" aria-expanded={moving} onClick={() => setMoving(!moving)}>
            Import
          </button>
        </div>
      </div>
      {moving && <InAndOut kind="pressings" />}
      {choosing && <ColumnChoice columns={listColumns(density, house)} hidden={hidden} onChange={setHidden} />}
      <Filters filter={filter} onChange={patch} />
      <Habits />
      {!data ? (
        <Pending error={error} what="the log" />
      ) : total === 0 ? (
        Object.keys(query).length > 0 ? (
          <p className="rule-top max-w-prose py-6">No pressing is all of this. Try fewer words, or take a filter off.</p>
        ) : (
          <Teach
            drawing="record"
            act={
              <a className="act act-main" href="/">
                To the bench
              </a>
            }
          >
            No pressing yet. Each piece that is kept or spoiled in a run is recorded here by itself: temperature, time, pressure, peel and
            place, as they were. There is nothing to fill in.
          </Teach>
        )
      ) : (
        <>
          <LeftOut of={unreadable} />
          <PressingList
            pressings={rows}
            density={density}
            more={hasNextPage && !isFetchingNextPage}
            onMore={() => void fetchNextPage()}
            isWhole={!hasNextPage}
            hidden={hidden}
          />
        </>
      )}
    </div>
  );
}

/** What the list is narrowed by; on a phone folded until it is wanted. */
function Filters({ filter, onChange }: { filter: Filter; onChange: (part: Partial<Filter>) => void }) {
  const names = useRoute('logNames', {});
  const narrow = useNarrow();
  const [isOpen, setIsOpen] = useState(false);
  return (
    <>
      {narrow && (
        <button type="button" className="act act-quiet" aria-expanded={isOpen} onClick={() => setIsOpen(!isOpen)}>
          Filters
        </button>
      )}
      <div className={`grid grid-cols-6 gap-x-4 max-[64rem]:grid-cols-3 narrow:grid-cols-2 ${narrow && !isOpen ? 'hidden' : ''}`}>
        <ChoiceField label="Came out" value={filter.outcome} options={OUTCOMES} onChange={(outcome) => onChange({ outcome })} />
        <ChoiceField
          label="Fabric"
          value={filter.fabric}
          options={options('any fabric', names.data?.fabrics ?? [])}
          onChange={(fabric) => onChange({ fabric })}
        />
        <ChoiceField
          label="Transfer"
          value={filter.product}
          options={options('any transfer', names.data?.products ?? [])}
          onChange={(product) => onChange({ product })}
        />
        <ChoiceField
          label="Press"
          value={filter.press}
          options={options('any press', names.data?.presses ?? [])}
          onChange={(press) => onChange({ press })}
        />
        <TextField label="From" type="date" value={filter.from} onChange={(from) => onChange({ from })} />
        <TextField label="To" type="date" value={filter.to} onChange={(to) => onChange({ to })} />
      </div>
    </>
  );
}
