/** What stands beside the placement sheet: the measures as they are now, how the hands find the place, and the guide to print. */

import { memo } from 'react';
import { fingerWords, handWords, type Lettering } from '../../core/card';
import type { Pose } from '../../core/draft';
import type { House } from '../../core/house';
import { PAPER_SIZES } from '../../core/house';
import type { Blank, Fabric } from '../../core/materials';
import { formatTape, type HouseUnits } from '../../core/units';
import { Letters } from '../../ui/LetterR';
import { Says } from '../../ui/Says';

interface MeasuresProps {
  placement: NonNullable<Pose['placement']>;
  units: HouseUnits;
  house: House;
}

export function Measures({ placement, units, house }: MeasuresProps) {
  return (
    <dl className="pt-1 will-change-transform contain-content">
      {placement.lay.map(({ from, to, way, mm }) => {
        const centred = from === 'centre line' && mm < 0.5;
        return (
          <Measure
            key={from}
            from={from}
            figure={centred ? 'centred' : formatTape(mm, units)}
            fingers={mm >= 5 && from !== 'middle of the face' ? fingerWords(mm, house) : null}
            words={
              centred
                ? 'on the centre line'
                : from === 'centre line'
                  ? `${way} of the centre line, to its middle`
                  : `${way} from the ${from}, to its ${to}`
            }
          />
        );
      })}
    </dl>
  );
}

/** One measure; drawn again only when what a tape shows changes. */
const Measure = memo(function Measure({
  from,
  figure,
  fingers,
  words,
}: {
  from: string;
  figure: string;
  fingers: string | null;
  words: string;
}) {
  return (
    <div className="rule-bottom grid grid-cols-[7.5rem_minmax(0,1fr)] gap-2 py-1 narrow:grid-cols-[min(7.5rem,50%)_minmax(0,1fr)]">
      {/* boxes of a fixed size, so that a figure that changes moves nothing about it */}
      <dt data-measure={from}>
        <span
          className={`block h-[2rem] text-[min(1.5rem,8.5vw)] font-bold whitespace-nowrap contain-strict ${figure === 'centred' ? '' : 'figure'}`}
        >
          {figure}
        </span>
        {fingers && <span className="label block h-[1.25rem] font-normal contain-strict">{fingers}</span>}
      </dt>
      <dd className="m-0 min-w-0 pt-1.5 leading-tight">{words}</dd>
    </div>
  );
});

interface HandLinesProps {
  pose: Pose;
  house: House;
  fabric: Fabric;
  blank: Blank;
}

/** Drawn again only when the placement at rest changes, not while the art is moved. */
export const HandLines = memo(function HandLines({ pose, house, fabric, blank }: HandLinesProps) {
  return (
    <p className="label pt-2">
      {handWords({ pose, house, fabric }).map((words, i) => (
        <span key={i}>
          <Says words={words} />{' '}
        </span>
      ))}
      {pose.placement && !pose.placement.measures.taken && (
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
  lettering,
  href,
  query,
}: {
  lettering: readonly Lettering[] | undefined;
  href: string;
  query: string;
}) {
  return (
    <>
      {lettering && (
        <div className="rule-top mt-3 pt-3">
          <Letters lettering={lettering} />
        </div>
      )}
      <div className="rule-top mt-3 flex flex-wrap items-center gap-x-2 pt-2">
        <span className="label">Guide at true size:</span>
        {PAPER_SIZES.map((paper) => (
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
