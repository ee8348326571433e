/** Server state for every island: one query cache for the whole document, kept across client navigation. */
import { QueryClient, QueryClientProvider, queryOptions, useQuery } from '@tanstack/react-query';
import { type ReactNode, useState } from 'react';
import { AwayError, call, ProblemError, type Reply } from '../contract';
import type { Args } from '../contract/client';
import type { RouteName } from '../contract/paths';
import { timed } from './clock';
import { servedUnits, Units } from './house';

export const queries = new QueryClient({
  defaultOptions: {
    // the server is most often this very machine: a browser that thinks itself without a network asks all the same
    mutations: { networkMode: 'always' },
    queries: {
      networkMode: 'always',
      staleTime: 2_000,
      retry: (count, error) => error instanceof AwayError && count < 60,
      retryDelay: 1_500,
      refetchOnWindowFocus: true,
    },
  },
});

/** Wraps an island with the shared cache and the house's units. */
export function Island({ children }: { children: ReactNode }) {
  return (
    <QueryClientProvider client={queries}>
      <WithUnits>{children}</WithUnits>
    </QueryClientProvider>
  );
}

/** One watch of the house for all figures of an island. */
function WithUnits({ children }: { children: ReactNode }) {
  const [served] = useState(servedUnits);
  const units = useRoute('house', {}).data?.house.units ?? served;
  return <Units value={units}>{children}</Units>;
}

/** A GET route as a query. */
export function useRoute<N extends RouteName>(name: N, args: Args<N>, enabled = true) {
  return useQuery(queryOptions<Reply<N>>({ queryKey: [name, args], queryFn: () => timed(() => call(name, args)), enabled }));
}

/** What a save answered, known to the page at once: the next save goes by its version, however long the rest takes to be fetched. */
export const known = <N extends RouteName>(name: N, args: Args<N>, change: (before: Reply<N>) => Reply<N>): void =>
  void queries.setQueryData<Reply<N>>([name, args], (before) => before && change(before));

/** Everything that depends on what a write has changed is fetched again. */
export const refresh = (...names: RouteName[]): Promise<void> =>
  Promise.all(names.map((name) => queries.invalidateQueries({ queryKey: [name] }))).then(() => undefined);

/** What others change is fetched at once, and then so often at most, ms. */
const OTHERS_MS = 1000;
let fetchedAt = Number.NEGATIVE_INFINITY;
let due: ReturnType<typeof setTimeout> | null = null;
const staleSoon = new Set<RouteName>();

/** Something was changed in the shop, perhaps by another device: what that made stale is fetched again, all changes of a second together. */
export function refreshSoon(names: readonly RouteName[]): void {
  for (const name of names) staleSoon.add(name);
  if (due) return;
  due = setTimeout(
    () => {
      due = null;
      fetchedAt = performance.now();
      const stale = [...staleSoon];
      staleSoon.clear();
      void refresh(...stale);
    },
    Math.max(0, fetchedAt + OTHERS_MS - performance.now()),
  );
}

/** Words for an error, for the place where it happened. */
export function errorWords(error: unknown): string {
  // what is wrong with each field, without the names the wire has for them
  if (error instanceof ProblemError && error.problem.status === 422 && error.problem.errors)
    return `Not saved. ${[...new Set(error.problem.errors.map((error) => error.message))].join(' ')}`;
  return error instanceof ProblemError || error instanceof AwayError
    ? error.message
    : 'Something went wrong in this page. Load it again; nothing that was saved is lost.';
}

/** What stands in a page until its facts are there, or in their place when they cannot be had. */
export function Pending({ error, what }: { error: unknown; what: string }) {
  if (error) {
    return (
      <p role="alert" className="m-6 max-w-prose border-l-4 border-brick pl-4">
        {errorWords(error)}
      </p>
    );
  }
  return <p className="m-6 label">Fetching {what} …</p>;
}
