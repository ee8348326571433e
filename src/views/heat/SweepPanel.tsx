/** A map of the bond over any two inputs: a rough one at once, then a fine one, with the sheet's window and the press's reach on it. */
import { useEffect, useState } from 'react';
import { SWEPT, SweepQuerySchema, type Swept } from '../../core/heatBench';
import { ChoiceField } from '../../ui/Field';
import { Stopped, stopSweep, sweep } from '../../workers/heat';
import { reachOf } from './axes';
import { MapDrawing, type MapProps, type Mapped, NAMES } from './MapDrawing';

const FINE = 60;
const ROUGH = 10;

export function SweepPanel({ variant, stack, house }: MapProps) {
  const [x, setX] = useState<Swept>('time');
  const [y, setY] = useState<Swept>('temperature');
  const [map, setMap] = useState<Mapped | null>(null);
  const [progress, setProgress] = useState<{ done: number; of: number } | null>(null);
  const [says, setSays] = useState<string | null>(null);
  useEffect(() => () => stopSweep(), []);

  const run = async () => {
    const axes = (steps: number) => ({
      x: { of: x, ...reachOf(x, variant, stack), steps },
      y: { of: y, ...reachOf(y, variant, stack), steps },
    });
    const parsed = SweepQuerySchema.safeParse({ ...variant.query, ...axes(FINE) });
    if (!parsed.success) {
      setSays(parsed.error.issues[0]?.message ?? 'This cannot be swept.');
      return;
    }
    setSays(null);
    setMap(null);
    // rows may still be on their way when it is stopped
    let live = true;
    try {
      const rough: Mapped = { query: { ...parsed.data, ...axes(ROUGH) }, rows: [] };
      await sweep(rough.query, ({ rows }) => {
        rough.rows.push(...rows);
      });
      setMap(rough);
      const fine: Mapped = { query: parsed.data, rows: [] };
      setProgress({ done: 0, of: FINE });
      await sweep(fine.query, ({ done, of, rows }) => {
        fine.rows.push(...rows);
        if (live) setProgress({ done, of });
      });
      setMap(fine);
    } catch (error) {
      setSays(
        error instanceof Stopped
          ? 'Stopped. What stands here is the rough map.'
          : error instanceof Error
            ? error.message
            : 'It stopped before its end.',
      );
    } finally {
      live = false;
      setProgress(null);
    }
  };
  const options = (other: Swept) =>
    (Object.keys(SWEPT) as Swept[]).filter((of) => of !== other).map((of) => ({ value: of, text: NAMES[of] }));
  return (
    <section aria-label="Map">
      <div className="grid max-w-[47.5rem] grid-cols-[1fr_1fr_auto] items-start gap-x-4 narrow:block">
        <ChoiceField label="Across" value={x} options={options(y)} onChange={setX} />
        <ChoiceField label="Up" value={y} options={options(x)} onChange={setY} />
        <div className="flex gap-2 pt-6">
          {progress ? (
            <button type="button" className="act" onClick={stopSweep}>
              Stop
            </button>
          ) : (
            <button type="button" className="act act-main" onClick={() => void run()}>
              Draw the map
            </button>
          )}
        </div>
      </div>
      {progress && (
        <p className="flex items-center gap-3 pb-2">
          <progress value={progress.done} max={progress.of} aria-label="Sweep" />
          <span className="label figure">{`${progress.done} of ${progress.of} lines`}</span>
        </p>
      )}
      {says && (
        <p role="alert" className="pb-2">
          {says}
        </p>
      )}
      {map ? (
        <MapDrawing map={map} variant={variant} stack={stack} house={house} />
      ) : (
        !progress && (
          <p className="label max-w-prose">
            A map shows at a glance where a piece is sound, and how far the sheet’s window and your press reach into it. Choose two things
            and draw it.
          </p>
        )
      )}
    </section>
  );
}
