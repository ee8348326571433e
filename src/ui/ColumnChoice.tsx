/** Which columns of a table are shown, chosen in this browser. At least one stays. */
import { useState } from 'react';
import { remember, remembered } from './browserMemory';
import { Check } from './Check';
import { type Column, columnId } from './DataTable';

/** @param name of the table, that the choice is kept by */
export function useHiddenColumns(name: string): [string[], (hidden: string[]) => void] {
  const [hidden, setHidden] = useState(() => remembered(`columns.${name}`)?.split('|').filter(Boolean) ?? []);
  return [
    hidden,
    (next) => {
      setHidden(next);
      remember(`columns.${name}`, next.join('|'));
    },
  ];
}

interface ColumnChoiceProps<Row> {
  columns: readonly Column<Row>[];
  hidden: readonly string[];
  onChange: (hidden: string[]) => void;
}

export function ColumnChoice<Row>({ columns, hidden, onChange }: ColumnChoiceProps<Row>) {
  const named = columns.map((column, at) => ({ id: columnId(column, at), head: column.head })).filter(({ head }) => head !== '');
  const shown = named.filter(({ id }) => !hidden.includes(id));
  return (
    <fieldset className="flex flex-wrap gap-x-5">
      <legend className="sr-only">Columns</legend>
      {named.map(({ id, head }) => {
        const isOn = !hidden.includes(id);
        const isLast = isOn && shown.length === 1;
        return (
          <Check key={id} on={isOn} onChange={(on) => isLast || onChange(on ? hidden.filter((other) => other !== id) : [...hidden, id])}>
            {head}
          </Check>
        );
      })}
    </fieldset>
  );
}
