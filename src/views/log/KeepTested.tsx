/** Keeps a pressing as a tested setting: the next card of this transfer on this blank starts from it. */
import { useState } from 'react';
import { ProblemError, type Reply } from '../../contract';
import type { Tested } from '../../core/sheet';
import { isoDay } from '../../ui/days';
import { Fault } from '../../ui/Fault';
import { useSave, write } from '../../ui/write';

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
  'edge lifted': 'lifted',
  'carrier torn': 'another fault',
  'gap between layers': 'another fault',
  'voids in the print': 'another fault',
  'small shapes filled in': 'another fault',
  'not matte all over': 'another fault',
  'stones missing': 'lifted',
  'tape mark': 'marked',
  'pressed flat': 'another fault',
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
  const { save, pending, fault } = useSave(
    () => 'tested setting kept',
    async (offSheet: boolean) => {
      const body = testedOf(pressing, card, offSheet);
      await write('putTested', { params: { id: body.id }, body });
      setIsKept(true);
      return async () => {
        await write('removeThing', { params: { kind: 'tested', id: body.id } });
        setIsKept(false);
      };
    },
  );
  const fields = fault instanceof ProblemError ? Object.keys(fault.fields) : [];
  const isOffSheet = fields.length > 0 && fields.every((field) => field === 'setC' || field === 'timeS');
  const wasKept = fault instanceof ProblemError && (fault.problem.status === 412 || fault.problem.status === 428);
  if (isKept || wasKept)
    return (
      <p className="label pt-2">
        Kept as a <a href={`/shelf?kind=tested&on=tested-${pressing.id}`}>tested setting</a>: the next card of this transfer on this blank
        {pressing.outcome === 'good' ? ' starts from it.' : ' does not start from it again.'}
      </p>
    );
  return (
    <div className="pt-2">
      <button type="button" className="act act-quiet" disabled={pending} onClick={() => void save(isOffSheet)}>
        {isOffSheet ? 'Save it, outside its sheet' : 'Save as tested'}
      </button>{' '}
      {!fault && pressing.outcome === 'good' && (
        <span className="label">and the next card of this transfer on this blank starts from it</span>
      )}
      <Fault of={fault} className="max-w-prose border-l-4 border-brick pl-3 text-brick" />
    </div>
  );
}
