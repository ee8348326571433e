/** What the heat model says to each variant, asked in the worker as the variant changes; the last answer stands until the next. */
import { useEffect, useEffectEvent, useState } from 'react';
import type { BenchStack } from '../../core/advice';
import type { Correction, Effect } from '../../core/heat';
import { faultOfQuery } from '../../core/heatBench';
import { heatWorker } from '../../workers/heat';
import type { Reckoned } from './Indices';
import { VARIANT_NAMES, type Variant } from './variant';

/** Half of a platen's 95 % spread is one standard deviation. */
const SPREADS_A_SD = 2;

export interface Answers {
  columns: Reckoned[];
  /** Of the variant in hand. */
  correction: Correction | null;
  helps: Effect[];
}

/** Waits so long for the hand to rest, ms. */
const REST_MS = 120;

/** Asks for every variant in turn, and for what would help the one in hand; null: who asked has gone on. */
async function reckon(variants: readonly Variant[], current: number, stack: BenchStack, isLate: () => boolean): Promise<Answers | null> {
  const doubt = { platenK: stack.spreadK / SPREADS_A_SD, shiftSd: stack.shiftSd };
  const columns: Reckoned[] = [];
  for (const [i, one] of variants.entries()) {
    const wrong = faultOfQuery(one.query);
    if (wrong) throw new Error(wrong);
    const { seen, band } = await heatWorker.query((api) => api.simulate(one.query, doubt));
    const peel = await heatWorker.query((api) => api.peel(one.query));
    columns.push({ name: VARIANT_NAMES[i] ?? '', setC: one.setC, timeS: one.query.passage.timeS, seen, band, peel });
    if (isLate()) return null;
  }
  const inHand = variants[current] as Variant;
  const { surfaceC } = inHand.query.passage;
  // the time first: the temperature stays where the hand has put it
  const allowed = { timeS: stack.allowed.timeS, surfaceC: { min: surfaceC, max: surfaceC } };
  const { correction, helps } = await heatWorker.query((api) => api.correct(inHand.query, allowed));
  return isLate() ? null : { columns, correction, helps };
}

export function useReckoned(variants: readonly Variant[], current: number, stack: BenchStack | null) {
  const [answers, setAnswers] = useState<Answers | null>(null);
  const [fault, setFault] = useState<string | null>(null);
  const [busy, setBusy] = useState(false);
  const key = JSON.stringify([variants, current, stack?.press.id, stack?.spreadK]);
  const query = useEffectEvent(async (isLate: () => boolean) => {
    if (!stack || variants.length === 0) return;
    setBusy(true);
    try {
      const found = await reckon(variants, current, stack, isLate);
      if (!found) return;
      setAnswers(found);
      setFault(null);
    } catch (error) {
      if (!isLate()) setFault(error instanceof Error ? error.message : 'It broke off.');
    } finally {
      if (!isLate()) setBusy(false);
    }
  });
  useEffect(() => {
    let late = false;
    const rest = setTimeout(() => void query(() => late), REST_MS);
    return () => {
      late = true;
      clearTimeout(rest);
    };
  }, [key]);
  return { answers, fault, busy };
}
