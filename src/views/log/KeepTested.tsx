/** Keeps a pressing as a tested setting: the next card of this transfer on this blank starts from it. */
import { useMutation } from '@tanstack/react-query';
import { useState } from 'react';
import { call, ProblemError, type Reply } from '../../contract';
import type { Tested } from '../../core/sheet';
import { saveUndoably } from '../../ui/acts';
import { isoDay } from '../../ui/days';
import { errorWords, refresh } from '../../ui/query';

type Pressing = Reply<'pressing'>['pressing'];
type Card = NonNullable<Reply<'pressing'>['card']>;

const RESULTS: Record<NonNullable<Pressing['reason']>, Tested['result']> = {
  'crooked or misplaced': 'another fault',
  'would not peel clean': 'lifted',
  'shine or press mark': 'marked',
  scorched: 'scorched',
  'ink spread or sunk': 'another fault',
  'fault in the blank': 'another fault',
  'fault in the transfer': 'another fault',
  'something else': 'another fault',
};

function testedOf(pressing: Pressing, { of, set }: Card, offSheet: boolean): Tested {
  const last = pressing.closings.filter(({ stage }) => stage === 'press').at(-1);
  return {
    id: `tested-${pressing.id}`,
    name: `${of.productName} on ${of.blankName} at ${of.pressName}`.slice(0, 80),
    productId: of.productId,
    pressId: of.pressId,
    on: { kind: 'blank', id: of.blankId },
    setC: pressing.setC,
    readC: last?.readC ?? null,
    timeS: pressing.timeS,
    peel: set.peel,
    result: pressing.outcome === 'good' ? 'good' : RESULTS[pressing.reason ?? 'something else'],
    note: pressing.note,
    by: pressing.operator,
    testedOn: isoDay(new Date(pressing.endedAt)),
    offSheet,
  };
}

export function KeepTested({ pressing, card }: { pressing: Pressing; card: Card }) {
  const [isKept, setIsKept] = useState(false);
  const keep = useMutation({
    mutationFn: (offSheet: boolean) => {
      const body = testedOf(pressing, card, offSheet);
      return saveUndoably('tested setting kept', async () => {
        await call('putTested', { params: { id: body.id }, body });
        refresh('shelf', 'orderCards', 'order', 'bench', 'testedMatrix');
        setIsKept(true);
        return async () => {
          await call('removeThing', { params: { kind: 'tested', id: body.id } });
          refresh('shelf', 'orderCards', 'order', 'bench', 'testedMatrix');
          setIsKept(false);
        };
      });
    },
  });
  const fields = keep.error instanceof ProblemError ? Object.keys(keep.error.fields) : [];
  const isOffSheet = fields.length > 0 && fields.every((field) => field === 'setC' || field === 'timeS');
  const wasKept = keep.error instanceof ProblemError && (keep.error.problem.status === 412 || keep.error.problem.status === 428);
  if (isKept || wasKept)
    return (
      <p className="label pt-2">
        Kept as a <a href={`/shelf?kind=tested&on=tested-${pressing.id}`}>tested setting</a>: the next card of this transfer on this blank
        {pressing.outcome === 'good' ? ' starts from it.' : ' does not start from it again.'}
      </p>
    );
  return (
    <div className="pt-2">
      <button type="button" className="act act-quiet" disabled={keep.isPending} onClick={() => keep.mutate(isOffSheet)}>
        {isOffSheet ? 'Keep it, outside its sheet' : 'Keep as tested'}
      </button>{' '}
      {!keep.error && pressing.outcome === 'good' && (
        <span className="label">and the next card of this transfer on this blank starts from it</span>
      )}
      {keep.error && (
        <p role="alert" className="max-w-prose border-l-4 border-brick pl-3 text-brick">
          {errorWords(keep.error)}
        </p>
      )}
    </div>
  );
}
