/** A sweep on the server, a row at a time, so that nobody else waits for it. */
import { type SweepAsk, sweepRows, valuesOf } from '../../core/heat';

/** Lets every other request go first between rows. */
export async function sweepUnhurried(ask: SweepAsk): Promise<{ x: number[]; rows: { y: number; bonds: number[] }[] }> {
  const rows: { y: number; bonds: number[] }[] = [];
  for (const step of sweepRows(ask)) {
    rows.push(...step.rows);
    await new Promise((go) => setImmediate(go));
  }
  return { x: valuesOf(ask.x), rows };
}
