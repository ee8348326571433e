/** A run over the wire, for tests of endpoints: read back, told facts minutes apart, and followed by its cues. */
import { randomUUID } from 'node:crypto';
import type { Card } from '../src/core/card';
import { type Cue, cueOf, factOf, planOf, type RunEvent, type RunFact, type RunPlan, type RunState, replay } from '../src/core/run';
import * as runRoute from '../src/pages/api/v1/runs/[id]';
import * as eventRoute from '../src/pages/api/v1/runs/[id]/events/[eventId]';
import { put, send } from './api';

/** Between two facts, so that every clock is out, ms. */
const APART_MS = 400_000;

export class RunOver {
  constructor(
    readonly id: string,
    private at = Date.now() - 300_000_000,
  ) {}

  async opened() {
    const { body } = await send(runRoute.GET, `/runs/${this.id}`, { id: this.id });
    const plan: RunPlan = planOf(
      body.run,
      body.card,
      body.also.map(({ card }: { card: Card }) => card),
    );
    const state: RunState = replay(plan, body.run.startedAt, body.events as RunEvent[]);
    return { body, plan, state };
  }

  /** @throws {Error} it was refused */
  async tell(fact: RunFact): Promise<void> {
    this.at += APART_MS;
    const eventId = randomUUID();
    const reply = await put(
      eventRoute.PUT,
      `/runs/${this.id}/events/${eventId}`,
      { id: this.id, eventId },
      { ...fact, id: eventId, at: this.at },
    );
    if (reply.status !== 200) throw new Error(JSON.stringify(reply.body));
  }

  /** Follows the cues until something is so; the cue that stands then. */
  async until(isSo: (cue: Cue, state: RunState) => boolean): Promise<Cue> {
    for (let i = 0; i < 300; i++) {
      const { plan, state } = await this.opened();
      const cue = cueOf(plan, state, this.at + APART_MS);
      if (isSo(cue, state)) return cue;
      await this.next(cue);
    }
    throw new Error('it never was so');
  }

  /** Does what a cue asks, or ends its clock. */
  async next(cue: Cue): Promise<void> {
    const act = cue.act ?? cue.early;
    if (!act) throw new Error(`no way on from ${cue.verb}`);
    await this.tell(factOf(cue, act));
  }
}
