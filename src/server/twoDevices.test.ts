/** Two devices on one run, each acting on what it last heard: the server takes what can have happened, and both come to the same end. */

import { randomUUID } from 'node:crypto';
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { ownShop } from '../../test/api';
import { isWhole, runs } from '../../test/runs';
import { apply, cueOf, factOf, planOf, predict, type RunEvent, replay } from '../core/run';
import { Refusal } from './refusal';
import { shop } from './shop';
import { openRun } from './stores/openedRun';
import { findOrder, putOrder } from './stores/orders';
import { searchLog } from './stores/pressings';
import { startRun, takeEvent } from './stores/runs';

ownShop();

/** What one device knows, and what it has sent off without an answer yet. */
interface Device {
  heard: readonly RunEvent[];
  waiting: RunEvent[];
}

describe('two devices on one run', () => {
  // biome-ignore lint/complexity/noExcessiveCognitiveComplexity: two devices turn by turn
  it('in a hundred runs of random turns the same end stands on both, and no piece is pressed twice', () => {
    let [refused, verdicts] = [0, 0];
    const { doc, version } = findOrder(shop().db, 'order-crew-tees');
    putOrder(shop().db, { ...doc, lines: doc.lines.map((line) => ({ ...line, count: 900 })) }, version);
    const turns = fc.array(fc.record({ who: fc.nat(1), what: fc.constantFrom('act', 'send', 'hear', 'look and act', 'look and act') }), {
      minLength: 60,
      maxLength: 110,
      size: 'max',
    });
    for (const [n, list] of fc.sample(turns, { ...runs(400), seed: 11 }).entries()) {
      const { db } = shop();
      const now = Date.now();
      const { run, card } = startRun(db, `run-two-${n}`, { orderId: 'order-crew-tees', lineId: 'line-crew-m', operator: 'QA' }, now);
      const plan = planOf(run, card);
      const stored = () => openRun(db, run.id).events;
      const devices: Device[] = [
        { heard: [], waiting: [] },
        { heard: [], waiting: [] },
      ];
      const send = (device: Device) => {
        const [event] = device.waiting;
        if (!event) return;
        try {
          device.heard = takeEvent(db, run.id, event, now + 1e6).events;
          device.waiting = device.waiting.slice(1);
        } catch (error) {
          if (!(error instanceof Refusal)) throw error;
          refused++;
          device.waiting = [];
          device.heard = stored();
        }
      };
      // biome-ignore lint/complexity/noExcessiveCognitiveComplexity: two devices turn by turn
      list.forEach(({ who, what }, i) => {
        const device = devices[who] as Device;
        if (what === 'send') send(device);
        if (what === 'hear' || what === 'look and act') device.heard = stored();
        if (what === 'look and act') while (device.waiting.length > 0) send(device);
        if (what !== 'act' && what !== 'look and act') return;
        const events = [...device.heard, ...device.waiting.filter(({ id }) => !device.heard.some((candidate) => candidate.id === id))];
        const known = { events: device.heard, run: replay(plan, run.startedAt, device.heard) };
        const state = predict(plan, run.startedAt, known, events.slice(device.heard.length));
        const cue = cueOf(plan, state, now + i * 3000);
        const kind = cue.act ?? cue.early;
        if (!kind) return;
        const event = { ...factOf(cue, kind), id: randomUUID(), at: now + i * 3000 } as RunEvent;
        if (apply(plan, run.startedAt, events, event, state).state === 'ok') device.waiting.push(event);
      });
      for (const device of devices) while (device.waiting.length > 0) send(device);
      for (const device of devices) device.heard = stored();
      const [here, there] = devices.map(({ heard }) => replay(plan, run.startedAt, heard));
      expect(here).toEqual(there);
      const pieces = here?.results.map(({ piece }) => piece) ?? [];
      expect(new Set(pieces).size).toBe(pieces.length);
      verdicts += pieces.length;
      const log = searchLog(db, { orderId: 'order-crew-tees', limit: 500 }).pressings.filter((pressing) => pressing.runId === run.id);
      expect(log.map(({ id }) => id).sort()).toEqual(here?.results.map(({ eventId }) => eventId).sort());
      const over = replay(plan, run.startedAt, stored());
      const shut = over.active.find(({ phase }) => phase === 'closed');
      if (shut) takeEvent(db, run.id, { kind: 'opened', piece: shut.pieces[0], id: randomUUID(), at: now + 1e6 } as RunEvent, now + 1e6);
      if (!over.done) takeEvent(db, run.id, { kind: 'stopped', id: randomUUID(), at: now + 1e6 }, now + 1e6);
    }
    // they did get into each other's way
    if (!isWhole) return;
    expect(refused).toBeGreaterThan(100);
    expect(verdicts).toBeGreaterThan(50);
  });
});
