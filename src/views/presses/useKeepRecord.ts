/** Adds a record to a press: who, when and an id of its own are put to it. */
import type { PressRecord } from '../../core/press';
import { newId } from '../../ui/newId';
import { useOperator } from '../../ui/operator';
import { useWrite, type Writing, write } from '../../ui/write';

type Unsigned<R> = R extends PressRecord ? Omit<R, 'id' | 'pressId' | 'at' | 'by' | 'note'> & { id?: string } : never;

/** @returns `save` answers whether it was kept; `fault` says why not */
export function useKeepRecord(pressId: string): Writing<Unsigned<PressRecord>> {
  const [by] = useOperator();
  return useWrite((found: Unsigned<PressRecord>) => {
    const record = { id: newId(), ...found, pressId, at: Date.now(), by, note: '' } as PressRecord;
    return write('putPressRecord', { params: { id: pressId, recordId: record.id }, body: record });
  });
}
