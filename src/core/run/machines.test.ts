/** A finished run stays what it was: runs as each machine took them, and loud refusals of what does not add up. */
import { readFileSync } from 'node:fs';
import { describe, expect, it } from 'vitest';
import { apply, DoesNotAddUp, predict, type RunEvent, type RunPlan, type RunState, replay, UnknownMachine } from './index';
import { uuid, WARM } from './test/plans';

interface KeptRun {
  name: string;
  plan: RunPlan;
  startedAt: number;
  events: RunEvent[];
  state: RunState;
}
/** Runs as each machine took them, none of them made anew since. */
const kept = [1, 2].flatMap((machine) => JSON.parse(readFileSync(`test/kept/runs-machine-${machine}.json`, 'utf8')) as KeptRun[]);

describe('runs of every machine', () => {
  it.each(kept.map((run) => [run.name, run] as const))(
    '%s: every step is taken as it was, to the same end',
    (_, { plan, startedAt, events, state }) => {
      events.forEach((event, i) => {
        expect(apply(plan, startedAt, events.slice(0, i), event).state).toBe('ok');
      });
      expect(replay(plan, startedAt, events)).toMatchObject(state);
    },
  );
});

describe('a list that does not add up', () => {
  const at = (kind: 'next' | 'closed' | 'opened', s: number) => ({ id: uuid(), at: s * 1000, kind }) as RunEvent;
  const sound = [at('next', 1), at('closed', 2), at('opened', 7)];

  it('is refused with the step that cannot have happened, not passed over', () => {
    const broken = [sound[0], sound[1], at('closed', 3), sound[2]] as RunEvent[];
    expect(() => replay(WARM, 0, broken)).toThrow(DoesNotAddUp);
    expect(() => replay(WARM, 0, broken)).toThrow(/“closed” of 1970-01-01T00:00:03.000Z cannot have happened/);
  });
  it('is refused for an undo that takes back another than the last step', () => {
    const undo = (of: string): RunEvent => ({ id: uuid(), at: 8000, kind: 'undone', of });
    const [first, , last] = sound as [RunEvent, RunEvent, RunEvent];
    expect(() => replay(WARM, 0, [...sound, undo(first.id)])).toThrow(/“undone” of .* it does not take back the last step/);
    expect(replay(WARM, 0, [...sound, undo(last.id)])).toEqual(replay(WARM, 0, sound.slice(0, 2)));
  });
  it('a run of a machine this app does not have is told, not guessed at', () => {
    expect(() => replay({ ...WARM, machine: 99 }, 0, sound)).toThrow(UnknownMachine);
  });
  it('steps that nobody has accepted yet are looked at one by one: what another device made impossible is passed over', () => {
    const known = { events: sound, run: replay(WARM, 0, sound) };
    const state = predict(WARM, 0, known, [at('opened', 8), at('next', 9)]);
    expect(state).toEqual(replay(WARM, 0, [...sound, at('next', 9)]));
  });
});
