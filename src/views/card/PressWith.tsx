/** What else is open and wants the press set alike: ticked, it is pressed in the same run. */
import { useState } from 'react';
import type { Together } from '../../contract';
import { formatQuantity } from '../../core/units';
import { dueText, isoDayText } from '../../ui/days';
import { Lamp } from '../../ui/Lamp';

const keyOf = ({ orderId, lineId, printKey }: Together): string => [orderId, lineId, printKey].join(' ');

interface PressWithProps {
  prints: readonly Together[];
  /** The order whose card this is. */
  orderId: string;
  /** Keys of those that are ticked. */
  ticked: readonly string[];
  onTick: (keys: string[]) => void;
  unit: 'C' | 'F';
}

/** Which of them are to be pressed along, and the panel that asks. */
export function usePressWith(prints: readonly Together[]) {
  const [ticked, onTick] = useState<string[]>([]);
  const also = prints
    .filter((print) => ticked.includes(keyOf(print)))
    .map(({ orderId, lineId, printKey }) => ({ orderId, lineId, printKey }));
  return { also, panel: { prints, ticked, onTick } };
}

export function PressWith({ prints, orderId, ticked, onTick, unit }: PressWithProps) {
  if (prints.length === 0) return null;
  return (
    <fieldset className="m-0 flex flex-wrap items-center gap-x-6 gap-y-1 border-0 border-b border-line px-5 py-2 narrow:order-last narrow:border-t narrow:border-b-0">
      <legend className="float-left mr-2 p-0 font-semibold">Press in the same run</legend>
      {prints.map((print) => {
        const key = keyOf(print);
        const on = ticked.includes(key);
        return (
          <label key={key} className="flex min-h-12 cursor-pointer items-center gap-2">
            <input
              type="checkbox"
              className="size-6 accent-teal"
              checked={on}
              onChange={() => onTick(on ? ticked.filter((other) => other !== key) : [...ticked, key])}
            />
            <span className="leading-tight">
              <span className="font-semibold">{print.orderId === orderId ? print.what : print.orderName}</span>,{' '}
              <span className="figure">{print.left}</span> {print.left === 1 ? 'piece' : 'pieces'}
              <span className="label block">
                {print.orderId === orderId
                  ? 'of this order'
                  : `${print.what}; due ${isoDayText(print.due)}, ${dueText(print.due, new Date())}`}
                {print.ownC !== null && `; by itself it would be set to ${formatQuantity(print.ownC, unit, 0)}`}
              </span>
            </span>
            <Lamp state={print.lamp} />
          </label>
        );
      })}
    </fieldset>
  );
}
