/** What stands beside the placement sheet: the measures as they are now, how the hands find the place, and the guide to print. */
import { memo } from 'react';
import { type Card, fingerWords, type House, handWords, type Laid } from '../../core/card';
import type { Blank, Fabric } from '../../core/materials';
import { formatTape, type HouseUnits } from '../../core/units';
import { LetterR } from '../../ui/LetterR';
import { Says } from '../../ui/Says';

export function Measures({ placement, units, house }: { placement: NonNullable<Laid['placement']>; units: HouseUnits; house: House }) {
  return (
    <dl className="pt-1">
      {placement.lay.map(({ from, to, way, mm }) => (
        <div key={from} className="rule-bottom grid grid-cols-[7.5rem_1fr] items-baseline gap-2 py-1">
          <dt className={`text-2xl font-bold ${from === 'centre line' && mm < 0.5 ? '' : 'figure'}`} data-measure={from}>
            {from === 'centre line' && mm < 0.5 ? 'centred' : formatTape(mm, units)}
            {mm >= 5 && from !== 'middle of the face' && (
              <span className="label block font-sans font-normal">{fingerWords(mm, house)}</span>
            )}
          </dt>
          <dd className="m-0 leading-tight">
            {from === 'centre line'
              ? mm < 0.5
                ? 'on the centre line'
                : `${way} of the centre line, to its middle`
              : `${way} from the ${from}, to its ${to}`}
          </dd>
        </div>
      ))}
    </dl>
  );
}

interface HandLinesProps {
  laid: Laid;
  house: House;
  fabric: Fabric;
  blank: Blank;
}

/** Drawn again only when the placement at rest changes, not while the art is moved. */
export const HandLines = memo(function HandLines({ laid, house, fabric, blank }: HandLinesProps) {
  return (
    <p className="label pt-2">
      {handWords({ laid, house, fabric }).map((words, i) => (
        <span key={i}>
          <Says words={words} />{' '}
        </span>
      ))}
      {laid.placement && !laid.placement.measures.taken && (
        <>
          By the usual cut of a {blank.kind}:{' '}
          <a className="underline" href={`/shelf/blanks/${blank.id}`}>
            measure yours
          </a>
          .
        </>
      )}
    </p>
  );
});

/** How the sheet reads, and the guide to print. */
export const Guides = memo(function Guides({
  mirror,
  href,
  query,
}: {
  mirror: Card['set']['mirror'] | undefined;
  href: string;
  query: string;
}) {
  return (
    <>
      {mirror && (
        <div className="rule-top mt-3 pt-3">
          <LetterR mirror={mirror} />
        </div>
      )}
      <div className="rule-top mt-3 flex flex-wrap items-center gap-x-2 pt-2">
        <span className="label">Guide at true size:</span>
        {(['A4', 'Letter'] as const).map((paper) => (
          <a key={paper} className="act act-quiet font-normal underline" href={`${href}.pdf?${query}&paper=${paper}`} download>
            {paper}
          </a>
        ))}
        <a className="act act-quiet font-normal underline" href={`${href}.svg?${query}`} download>
          SVG
        </a>
      </div>
    </>
  );
});
