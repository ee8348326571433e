/** How far each person of an order is: what of theirs is good, what is missing, and a press that makes it whole. */
import { useState } from 'react';
import type { Reply } from '../../contract';
import { firstMissing } from '../../core/log';
import { sidedWords } from '../../core/materials';
import { GOES_BY, type GoesBy, type Order } from '../../core/order';
import type { Column } from '../../ui/DataTable';
import { Fault } from '../../ui/Fault';
import { LongTable } from '../../ui/LongTable';
import { useOperator } from '../../ui/operator';
import { useRoute } from '../../ui/query';
import { useNarrow } from '../../ui/useNarrow';
import type { OrderState } from '../orders/useOrder';
import { useStartRun } from '../run/useStartRun';

type Kit = Reply<'orderKit'>['people'][number];
/** Height of a row, and of a block on a phone, that needs no more, px. */
const ROW_PX = 68;
const BLOCK_PX = 150;
const NO_MORE = () => undefined;
const GOES_WORDS: Record<GoesBy, string> = {
  press: 'what the press is set for',
  person: 'the same person',
  position: 'the same position',
};

const isAsked = ({ person }: Kit, words: string): boolean =>
  `${person.number} ${person.name}`.toLowerCase().includes(words.trim().toLowerCase());

interface PeopleProps {
  state: OrderState;
  onOrder: (order: Order, what: string) => void;
}

/** Nothing, where no piece of the order carries a number or a name. */
export function People({ state, onOrder }: PeopleProps) {
  const { order } = state;
  const named = order.lines.some(({ roster }) => roster.length > 0);
  const people = useRoute('orderKit', { params: { id: order.id } }, named).data?.people;
  const blanks = useRoute('shelf', {}).data?.blanks;
  const operators = useRoute('house', {}).data?.house.operators ?? [];
  const [operator] = useOperator();
  const { start, fault } = useStartRun(order.id);
  const [asked, setAsked] = useState('');
  const [isMissing, setIsMissing] = useState(false);
  const narrow = useNarrow();
  if (!named || !people) return null;
  const shown = people.filter((kit) => isAsked(kit, asked) && (!isMissing || kit.missing > 0));
  const whole = people.filter(({ missing }) => missing === 0).length;
  const press = (kit: Kit) => {
    const next = firstMissing(kit, state.lines);
    if (next) void start({ ...next, person: kit.person, operator: operators.includes(operator) ? operator : '' });
  };
  const blankIds = [...new Set(order.lines.filter(({ roster }) => roster.length > 0).map(({ blankId }) => blankId))];
  const nameOf = (blankId: string) => blanks?.find(({ id }) => id === blankId)?.name ?? blankId;
  const missing = (kit: Kit) =>
    kit.missing === 0 ? (
      'nothing'
    ) : (
      <button type="button" className="act" disabled={!firstMissing(kit, state.lines)} onClick={() => press(kit)}>
        Press <span className="figure">{kit.missing}</span> missing
      </button>
    );
  const who = ({ person }: Kit) => (
    <>
      <span className="figure text-lg font-semibold">{person.number}</span> {person.name}
    </>
  );
  const wide: Column<Kit>[] = [
    { head: 'Who', namesRow: true, look: 'w-48', sortBy: ({ person }) => `${person.number} ${person.name}`, cell: who },
    ...blankIds.map(
      (blankId): Column<Kit> => ({
        id: blankId,
        head: nameOf(blankId),
        cell: (kit) => <OfBlank kit={kit} order={order} blankId={blankId} />,
      }),
    ),
    { head: 'Missing', look: 'w-56', sortBy: (kit) => kit.missing, cell: missing },
  ];
  // a phone has no room for columns: a person is a block
  const block: Column<Kit> = {
    head: '',
    cell: (kit) => (
      <>
        {who(kit)}
        {blankIds.map((blankId) => (
          <div key={blankId} className="pb-1">
            {blankIds.length > 1 && <span className="label block">{nameOf(blankId)}</span>}
            <OfBlank kit={kit} order={order} blankId={blankId} />
          </div>
        ))}
        {missing(kit)}
      </>
    ),
  };
  return (
    <section aria-label="By person" className="pb-8">
      <div className="flex flex-wrap items-end gap-x-6 gap-y-2 pb-2">
        <h2 className="text-xl">
          By person: <span className="figure">{whole}</span> of <span className="figure">{people.length}</span> complete
        </h2>
        <label className="ml-auto flex min-h-12 items-center gap-2">
          <input
            type="checkbox"
            className="size-6 accent-teal"
            checked={isMissing}
            onChange={(event) => setIsMissing(event.target.checked)}
          />
          only who misses something
        </label>
        <label>
          <span className="label mb-1 block">Number or name</span>
          <input className="entry w-44" value={asked} onChange={(event) => setAsked(event.target.value)} />
        </label>
        <label>
          <span className="label mb-1 block">After a run comes</span>
          <select
            className="entry w-64"
            value={order.goesBy ?? 'press'}
            onChange={(event) => onOrder({ ...order, goesBy: event.target.value as GoesBy }, 'order of pressing changed')}
          >
            {GOES_BY.map((value) => (
              <option key={value} value={value}>
                {GOES_WORDS[value]}
              </option>
            ))}
          </select>
        </label>
      </div>
      <Fault of={fault} className="pb-2 text-brick" />
      {shown.length === 0 ? (
        <p className="rule-top py-4">{asked ? `Nobody on these rosters is called “${asked}”.` : 'Nobody misses anything.'}</p>
      ) : (
        <LongTable
          label="By person"
          key={narrow ? 'blocks' : 'columns'}
          columns={narrow ? [block] : wide}
          rows={shown}
          idOf={({ person }) => `${person.number} ${person.name}`}
          rowPx={narrow ? BLOCK_PX : ROW_PX}
          more={false}
          onMore={NO_MORE}
        />
      )}
    </section>
  );
}

/** Sizes and prints of one garment of a person, each with how far it is. */
function OfBlank({ kit, order, blankId }: { kit: Kit; order: Order; blankId: string }) {
  const items = kit.items.flatMap((item) => {
    const line = order.lines.find(({ id, blankId: its }) => id === item.lineId && its === blankId);
    const print = line?.prints.find(({ key }) => key === item.printKey);
    return line && print ? [{ ...item, size: line.size, says: sidedWords(print) }] : [];
  });
  if (items.length === 0) return <span className="label">none</span>;
  return (
    <span className="flex flex-wrap items-center gap-x-4">
      <span className="font-semibold">{[...new Set(items.map(({ size }) => size))].join(', ')}</span>
      {items.map(({ lineId, printKey, says, pieces, good, spoiled }) => (
        <span key={`${lineId} ${printKey}`} className="whitespace-nowrap">
          <Mark isDone={good >= pieces} /> {says}
          {spoiled > 0 && <span className="text-brick">, {spoiled} spoiled</span>}
        </span>
      ))}
    </span>
  );
}

/** A filled square: good; an empty one: still to press. */
const Mark = ({ isDone }: { isDone: boolean }) => (
  <svg width="14" height="14" viewBox="0 0 14 14" role="img" aria-label={isDone ? 'good' : 'missing'} className="inline">
    <rect x="1" y="1" width="12" height="12" fill={isDone ? 'var(--color-teal)' : 'none'} stroke="currentColor" strokeWidth="2" />
  </svg>
);
