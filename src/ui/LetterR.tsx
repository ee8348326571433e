/** A letter R as it must look on the sheet before it is laid: the quickest check there is. */
import type { Lettering } from '../core/card';
import type { Mirror } from '../core/draft';

const WORDS: Record<Mirror, string> = {
  mirrored: 'on the sheet it reads backwards',
  'as read': 'on the sheet it reads as in a book',
  'by the supplier': 'bought ready: check its lettering',
  'by the printer path': 'the printer turns it: check one first',
};

/** One letter for every way round that art lies on its sheets, with the layers it is of where they differ. */
export function Letters({ lettering }: { lettering: readonly Lettering[] }) {
  return (
    <div className="flex flex-wrap gap-x-6 gap-y-3">
      {lettering.map((lettering) => (
        <LetterR key={lettering.mirror} {...lettering} />
      ))}
    </div>
  );
}

function LetterR({ mirror, layers }: Lettering) {
  const sure = mirror === 'mirrored' || mirror === 'as read';
  return (
    <figure className="flex items-center gap-3" data-mirror={mirror}>
      <svg width="58" height="58" viewBox="0 0 58 58" role="img" aria-label={`A letter R: ${WORDS[mirror]}`}>
        <path
          d="M2 2h42l12 12v42h-54z"
          fill="var(--color-sheet)"
          stroke="var(--color-ink)"
          strokeWidth="2"
          strokeDasharray={sure ? undefined : '5 4'}
        />
        <path d="M44 2v12h12" fill="none" stroke="var(--color-ink)" strokeWidth="2" />
        <g transform={mirror === 'mirrored' ? 'translate(58 0) scale(-1 1)' : undefined}>
          <path
            d="M20 47V17h10.5c6 0 10 3.4 10 8.7s-4 8.7-10 8.7H20M30 34.4L41.5 47"
            fill="none"
            stroke="var(--color-ink)"
            strokeWidth={sure ? 5 : 2.5}
          />
        </g>
      </svg>
      <figcaption className="label max-w-40 leading-tight">
        {layers.length > 0 && <span className="block font-semibold text-ink">{layers.join(', ')}</span>}
        {WORDS[mirror]}
      </figcaption>
    </figure>
  );
}
