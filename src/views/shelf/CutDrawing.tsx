/** The blank drawn from its measures, with the tape laid where the field in hand is measured. */
import { type Blank, blankMeasures, cutOf, shapeOf, USUAL_POSITIONS } from '../../core/materials';
import { boundsOf, measureLines, outlineOf, PANEL_OF, type Ring, sleevesBeside } from '../../core/placement';

const d = (ring: Ring): string => `M${ring.map(({ x, y }) => `${x.toFixed(1)} ${y.toFixed(1)}`).join('L')}Z`;

export function CutDrawing({ doc, shown, faulty }: { doc: Blank; shown: string | null; faulty: boolean }) {
  if (faulty) return <p className="label pt-8">It is drawn again as soon as its measures go together.</p>;
  const measures = { ...blankMeasures(doc, cutOf(doc).size), shape: shapeOf(doc) };
  const panel = PANEL_OF[USUAL_POSITIONS[doc.kind][0]];
  const outline = outlineOf(measures, panel);
  if (!outline) return null;
  const sleeves = measures.shape === 'body' ? sleevesBeside(measures) : [];
  const lines = measureLines(measures);
  const tape = shown ? lines[shown] : undefined;
  const seen = boundsOf([...outline, ...sleeves.flat()]);
  const pad = 0.05 * Math.max(seen.widthMm, seen.heightMm);
  const px = (seen.widthMm + 2 * pad) / 300;
  return (
    <svg
      viewBox={`${seen.leftMm - pad} ${seen.topMm - pad} ${seen.widthMm + 2 * pad} ${seen.heightMm + 2 * pad}`}
      className="block max-h-96 w-full max-w-80"
      role="img"
      aria-label={`The ${doc.kind} as measured${shown ? `, with the tape for ${shown}` : ''}`}
    >
      {sleeves.map((sleeve, i) => (
        <path key={i} d={d(sleeve)} fill="none" stroke="var(--color-line)" strokeWidth={2 * px} />
      ))}
      <path d={d(outline)} fill="var(--color-sheet)" stroke="var(--color-ink)" strokeWidth={2 * px} />
      {Object.entries(lines).map(([name, [a, b]]) => (
        <line
          key={name}
          x1={a.x}
          y1={a.y}
          x2={b.x}
          y2={b.y}
          stroke="var(--color-line)"
          strokeWidth={px}
          strokeDasharray={`${4 * px} ${3 * px}`}
        />
      ))}
      {tape && (
        <g data-tape={shown}>
          <line x1={tape[0].x} y1={tape[0].y} x2={tape[1].x} y2={tape[1].y} stroke="var(--color-amber)" strokeWidth={6 * px} />
          {tape.map((end, i) => (
            <circle key={i} cx={end.x} cy={end.y} r={5 * px} fill="var(--color-sheet)" stroke="var(--color-ink)" strokeWidth={2 * px} />
          ))}
        </g>
      )}
    </svg>
  );
}
