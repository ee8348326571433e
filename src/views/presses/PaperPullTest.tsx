/** The paper-pull test: four slips at the corners, what each does, and what that says of band and parallel. */

import { z } from 'zod';
import type { PressReport } from '../../contract';
import { CORNERS, type Corner, type Press, PULLS, type Pull, readPaperPull } from '../../core/press';
import { instantText } from '../../ui/days';
import { useDocForm } from '../../ui/docForm';
import { Fault } from '../../ui/Fault';
import { ChoiceField } from '../../ui/Field';
import { useKeepRecord } from './useKeepRecord';

const SIZE = 190;
const SLIP = { width: 26, length: 62 };
const OPTIONS = PULLS.map((value) => ({ value, text: value }));

const PullsSchema = z.record(z.enum(CORNERS), z.enum(PULLS));
const ALL_DRAG = Object.fromEntries(CORNERS.map((corner) => [corner, 'drags'])) as Record<Corner, Pull>;

export function PaperPullTest({ press, report }: { press: Press; report: PressReport }) {
  const form = useDocForm<Record<Corner, Pull>>(PullsSchema, ALL_DRAG);
  const pulls = form.doc;
  const { save: keep, fault } = useKeepRecord(press.id);
  const found = readPaperPull(pulls);
  const before = report.records.flatMap((record) =>
    record.kind === 'paper pull' && !report.withdrawn.includes(record.id) ? [record] : [],
  );
  return (
    <section aria-label="Paper slips" className="rule-top mt-5 pt-3">
      <h3 className="pb-1">Paper slips at the corners</h3>
      <div className="grid grid-cols-[13rem_1fr] gap-6 narrow:block">
        <Slips loose={found.loose} />
        <form aria-label="What each slip does" onSubmit={form.handle((found) => keep({ kind: 'paper pull', pulls: found }))}>
          <p className="border-l-4 border-amber pl-3">
            Slips long enough to hold well clear: fingers never go between the platens. Do it with the press cold.
          </p>
          <p className="py-2">Lay a slip half in at each corner, close, and pull each one.</p>
          <div className="grid grid-cols-2 gap-x-5">
            {CORNERS.map((corner) => (
              <ChoiceField
                key={corner}
                label={corner}
                value={pulls[corner]}
                options={OPTIONS}
                onChange={(pull) => form.patch({ [corner]: pull })}
              />
            ))}
          </div>
          <p className="font-semibold" role="status">
            {found.words}
            {found.parallel ? ', the platens parallel.' : `; not parallel: ${advice(found)}`}
          </p>
          <button type="submit" className="act mt-2">
            Save the paper pull
          </button>
          <Fault of={fault} />
        </form>
      </div>
      {before.map((test) => (
        <p key={test.id} className="rule-top py-1.5">
          <span className="label figure">{instantText(test.at)}</span> {readPaperPull(test.pulls).words}
          {readPaperPull(test.pulls).parallel ? ', parallel' : ', not parallel'}
        </p>
      ))}
    </section>
  );
}

/** What to turn. */
function advice({ side, loose }: ReturnType<typeof readPaperPull>): string {
  if (side) return `the ${side} is open. Bring the upper platen down at the ${side} by its levelling screws, evenly, and pull again.`;
  return `${loose.join(' and ')} ${loose.length > 1 ? 'are' : 'is'} open. Turn the levelling screw there a little at a time, and pull again.`;
}

function Slips({ loose }: { loose: readonly Corner[] }) {
  return (
    <svg
      width={SIZE}
      height={SIZE + 20}
      role="img"
      aria-label={loose.length > 0 ? `Open at ${loose.join(', ')}` : 'All four corners alike'}
    >
      <rect x="30" y="40" width={SIZE - 60} height={SIZE - 80} fill="var(--color-sheet)" stroke="var(--color-ink)" strokeWidth="2" />
      {CORNERS.map((corner) => {
        const right = corner.includes('right');
        const front = corner.includes('front');
        const x = right ? SIZE - 30 - SLIP.width - 8 : 38;
        const y = front ? SIZE - 40 - SLIP.length / 2 : 40 - SLIP.length / 2;
        return (
          <rect
            key={corner}
            x={x}
            y={y}
            width={SLIP.width}
            height={SLIP.length}
            fill={loose.includes(corner) ? 'var(--color-amber)' : '#ffffff'}
            stroke="var(--color-ink)"
          />
        );
      })}
      <text x={SIZE / 2} y={SIZE + 14} fontSize="13" textAnchor="middle" fill="var(--color-soft)">
        front, where you stand
      </text>
    </svg>
  );
}
