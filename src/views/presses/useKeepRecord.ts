/** Adds a record to a press: who, when and an id of its own are put to it; what depends on it is fetched again. */
import { useState } from 'react';
import { call } from '../../contract';
import type { PressRecord } from '../../core/press';
import { newId } from '../../ui/newId';
import { useOperator } from '../../ui/operator';
import { errorWords, refresh } from '../../ui/query';

type Unsigned<R> = R extends PressRecord ? Omit<R, 'id' | 'pressId' | 'at' | 'by' | 'note'> & { id?: string } : never;

/** @returns `keep` answers whether it was kept; `fault` says why not */
export function useKeepRecord(pressId: string): { keep: (found: Unsigned<PressRecord>) => Promise<boolean>; fault: string | null } {
  const [fault, setFault] = useState<string | null>(null);
  const [by] = useOperator();
  const keep = async (found: Unsigned<PressRecord>) => {
    const record = { id: newId(), ...found, pressId, at: Date.now(), by, note: '' } as PressRecord;
    try {
      await call('putPressRecord', { params: { id: pressId, recordId: record.id }, body: record });
      setFault(null);
      await refresh('pressReport', 'presses', 'orderCards', 'order', 'bench', 'rail');
      return true;
    } catch (error) {
      setFault(errorWords(error));
      return false;
    }
  };
  return { keep, fault };
}
