/** Figures of presses worked out from a request’s body alone. */
import type { z } from 'zod';
import type {
  ComputePressureReplySchema,
  ComputePressureSchema,
  ComputeWarmUpReplySchema,
  ComputeWarmUpSchema,
} from '../../contract/schemas';
import { CRUSH_KPA, contactFromLine, dropOfClosing, forceAt, lineForContact, shortestCycle, timeBetween } from '../../core/press';
import { Refusal } from '../refusal';

/**
 * Line to contact pressure or back.
 * @throws {Refusal} 422 neither or both are given
 */
export function pressureOf({
  drive,
  areaMm2,
  lineKPa,
  contactKPa,
}: z.output<typeof ComputePressureSchema>): z.output<typeof ComputePressureReplySchema> {
  if ((lineKPa === undefined) === (contactKPa === undefined))
    throw new Refusal('not valid', 'Not valid', 'Give the line pressure or the contact pressure; the other is worked out.', [
      { field: 'lineKPa', message: 'give this or contactKPa' },
    ]);
  const line = lineKPa ?? lineForContact(drive, contactKPa ?? 0, areaMm2);
  const contact = contactFromLine(drive, line, areaMm2);
  return {
    lineKPa: line,
    contactKPa: contact,
    forceN: forceAt(drive, line),
    crushes: contact > CRUSH_KPA,
    ratioGuessed: drive.ratio === null,
  };
}

const orNull = (value: number): number | null => (Number.isFinite(value) ? value : null);

/** Seconds between two temperatures; and what a closing costs, where one is given. */
export function warmUpOf({
  heater,
  fromC,
  toC,
  roomC,
  closing,
}: z.output<typeof ComputeWarmUpSchema>): z.output<typeof ComputeWarmUpReplySchema> {
  return {
    seconds: orNull(timeBetween(heater, fromC, toC, roomC)),
    dropK: closing ? dropOfClosing(heater, closing) : null,
    shortestCycleS: closing ? orNull(shortestCycle(heater, closing, roomC)) : null,
  };
}
