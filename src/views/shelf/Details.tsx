/** What the shelf knows of one transfer, fabric, blank or aid. */
import type { ReactNode } from 'react';
import { COVER_SHEETS } from '../../core/heat';
import { stationHref } from '../../core/log';
import {
  type Aid,
  type Blank,
  blendLimits,
  describeComposition,
  describeMaterial,
  type Fabric,
  FIBRES,
  SUBSTRATES,
} from '../../core/materials';
import {
  FAMILIES,
  type Figure,
  figureWords,
  fitnessOn,
  type Parcel,
  type Product,
  type Tested,
  unlooked,
  type WrittenStage,
} from '../../core/sheet';
import { formatBeside, formatDuration, formatForHouse, houseUnit } from '../../core/units';
import { instantText, isoDayText } from '../../ui/days';
import { useUnits } from '../../ui/house';
import { type ParcelState, parcelState } from './parcelWords';

type Fact = [string, ReactNode];
const yes = (term: string, condition: boolean, fact: ReactNode): Fact[] => (condition ? [[term, fact]] : []);

function Facts({ name, under, facts }: { name: string; under: string; facts: Fact[] }) {
  return (
    <>
      <h2 className="text-lg">{name}</h2>
      <p className="label pb-2">{under}</p>
      <dl>
        {facts.map(([term, fact]) => (
          <div key={term} className="rule-top grid grid-cols-[5rem_1fr] gap-3 min-[75rem]:grid-cols-[7rem_1fr] py-1.5">
            <dt className="label">{term}</dt>
            <dd className="min-w-0">{fact}</dd>
          </div>
        ))}
      </dl>
    </>
  );
}

function Temperature({ tempC }: { tempC: number }) {
  const house = useUnits();
  return (
    <span className="figure">
      {formatForHouse('temperature', tempC, house)} <span className="label">{formatBeside('temperature', tempC, house)}</span>
    </span>
  );
}

/** A figure as the sheet writes it, the shop's own unit first. */
function AsWritten({ kind, figure }: { kind: 'temperature' | 'duration'; figure: Figure }) {
  const house = useUnits();
  const { first, beside } = houseUnit(kind, house);
  return (
    <span className="figure">
      {figureWords(figure, first)}
      {beside && <span className="label"> {figureWords(figure, beside)}</span>}
    </span>
  );
}

function StageWords({ stage }: { stage: WrittenStage }) {
  return (
    <>
      {stage.tempC ? <AsWritten kind="temperature" figure={stage.tempC} /> : <span className="label">at the press’s own heat</span>}
      <span className="block">
        <AsWritten kind="duration" figure={stage.timeS} />
      </span>
      <span className="block">
        “{stage.pressure.asStated}”{stage.pressure.asStated === stage.pressure.band ? '' : `, read as ${stage.pressure.band}`}
      </span>
      <span className="label block">
        {[
          // a second press is always done under something
          stage.cover === 'required' || stage.kind === 'finish'
            ? `under ${COVER_SHEETS[stage.coverKind].name}`
            : stage.cover === 'allowed'
              ? 'cover left open'
              : 'no cover',
          stage.kind === 'finish'
            ? stage.peel === 'none'
              ? 'lifted off at once'
              : `pulled ${stage.peel}`
            : stage.peel === 'none'
              ? 'nothing to peel'
              : `peel ${stage.peel}`,
        ].join(', ')}
      </span>
    </>
  );
}

const MIRRORS = {
  'in the art': '',
  'by the supplier': 'done by the supplier',
  'by the printer path': 'by the printer’s own path',
} as const;

export function ProductDetail({ product }: { product: Product }) {
  const never = SUBSTRATES.filter((substrate) => fitnessOn(product, substrate) === 'never');
  const group = (override: Product['overrides'][number]) =>
    [override.fabricGroup, override.colourGroup && `${override.colourGroup} colours`].filter(Boolean).join(', ');
  return (
    <Facts
      name={product.name}
      under={`${FAMILIES[product.familyId].name}, ${product.maker}`}
      facts={[
        ...product.stages.map((stage): Fact => [stage.kind, <StageWords key={stage.kind} stage={stage} />]),
        ...product.overrides.map(
          (override): Fact => [
            `for ${group(override)}`,
            <span key={group(override)}>
              {override.tempC && <AsWritten kind="temperature" figure={override.tempC} />}
              {override.tempC && override.timeS && ', '}
              {override.timeS && <AsWritten kind="duration" figure={override.timeS} />}
              {[override.pressure?.band, override.cover && `cover ${override.cover}`, override.peel && `peel ${override.peel}`]
                .filter(Boolean)
                .map((words) => `, ${words}`)
                .join('')
                .slice(override.tempC || override.timeS ? 0 : 2)}
              {override.stage !== 'press' && ` in the ${override.stage}`}
            </span>,
          ],
        ),
        ...product.alternatives.map((alternative): Fact => [alternative.name, 'an alternative of the sheet']),
        ['Mirror', MIRRORS[product.mirroring] || (product.facing === 'face down' ? 'mirrored, laid face down' : 'as read, laid face up')],
        ['Base', [product.base === 'firm' ? 'firm only' : 'any', product.pad === 'none' ? '' : product.pad].filter(Boolean).join(', ')],
        ['Goes on', `${product.substrates.join(', ')}${product.shades === 'any' ? '' : `; ${product.shades} only`}`],
        ...yes('Never on', never.length > 0, `${never.join(', ')}. On anything else a test piece comes first.`),
        ...(product.madeOf ? yes('Made of', true, `${FIBRES[product.madeOf].name}, with its own limits`) : []),
        ...yes('Coated cloth', product.madeFor.length > 0, `made for ${product.madeFor.join(', ')}`),
        ...yes(
          'Nature',
          product.stretches || product.bridgesSeams || product.trialFirst,
          [product.stretches && 'stretches', product.bridgesSeams && 'bridges seams', product.trialFirst && 'tried first']
            .filter(Boolean)
            .join(', '),
        ),
        ...yes('Colours', product.colours.length > 0, product.colours.map((colour) => colour.name).join(', ')),
        ['Care', product.care],
        [
          'Sheet',
          `${product.source.sheet}, ${isoDayText(product.source.on)}${product.earlier.length > 0 ? `; earlier: ${product.earlier.map((earlier) => earlier.source.on).join(', ')}` : ''}`,
        ],
      ]}
    />
  );
}

export function FabricDetail({ fabric }: { fabric: Fabric }) {
  const house = useUnits();
  const { mark, damage } = blendLimits(fabric.composition);
  return (
    <Facts
      name={fabric.name}
      under={describeMaterial(fabric)}
      facts={[
        ...(mark
          ? ([
              [
                'May mark',
                <span key="mark">
                  <Temperature tempC={mark.limitC} />, its {FIBRES[mark.fibre].name}
                </span>,
              ],
            ] as Fact[])
          : []),
        ...(damage
          ? ([
              [
                'Harm',
                <span key="harm">
                  <Temperature tempC={damage.limitC} />, its {FIBRES[damage.fibre].name}
                </span>,
              ],
            ] as Fact[])
          : []),
        [
          'Made',
          `${fabric.construction}, ${fabric.texture}, ${formatForHouse('arealMass', fabric.massGsm, house)}, ${fabric.thicknessMm} mm pressed`,
        ],
        ...yes('Stretch', fabric.stretchPercent > 0, `${fabric.stretchPercent} %`),
        ['Finish', fabric.coating],
        ...yes('Dye', fabric.dyeRisk !== 'none', fabric.dyeRisk.replace('-', ' ')),
        ...yes('Clear', fabric.clear, 'one can look through it'),
        ...yes(
          'Leather',
          fabric.leather !== undefined,
          `${fabric.leather?.undyed ? 'undyed' : 'dyed'}, tanning ${fabric.leather?.tanning ?? ''}`,
        ),
      ]}
    />
  );
}

export function BlankDetail({ blank, fabric }: { blank: Blank; fabric: Fabric | undefined }) {
  const house = useUnits();
  const mm = (value: number) => formatForHouse('length', value, house);
  return (
    <Facts
      name={blank.name}
      under={`${blank.kind}, ${blank.colour}, ${blank.duty}`}
      facts={[
        [
          'Of',
          fabric ? `${fabric.name}${fabric.composition.length > 0 ? `: ${describeComposition(fabric.composition)}` : ''}` : blank.fabricId,
        ],
        ['Sizes', blank.sizes.join(', ')],
        ['Colour', `${blank.colour} (${blank.shade})`],
        ...yes('Thickness', blank.thicknessMm !== undefined, mm(blank.thicknessMm ?? 0)),
        ['Printed', `${blank.printable}, looked at ${blank.lookedAt === 'the printed side' ? 'from there' : 'through the blank'}`],
        ...yes(
          'Stands up',
          blank.obstructions.length > 0,
          blank.obstructions
            .map(
              (obstruction) =>
                `${obstruction.kind}${obstruction.heightMm > 0 ? ` ${mm(obstruction.heightMm)}` : ''}${obstruction.at.length > 0 ? ` (${obstruction.at.join(', ')})` : ''}`,
            )
            .join('; '),
        ),
        ...yes('Lined', blank.lined, 'yes'),
        ...yes('Law', blank.notices.length > 0, blank.notices.join(', ')),
        ['Tested', blank.tested ? `${blank.tested.on}: ${blank.tested.how}` : 'not yet; general figures hold'],
        ...yes('Test pieces', blank.testPieces.length > 0, blank.testPieces.map((piece) => `${piece.on}: ${piece.how}`).join('; ')),
      ]}
    />
  );
}

export function AidDetail({ aid, all }: { aid: Aid; all: readonly Aid[] }) {
  const names = aid.substitutes.map((id) => all.find((aid) => aid.id === id)?.name ?? id);
  return (
    <Facts
      name={aid.name}
      under={`serves as ${aid.serves}`}
      facts={[
        ['Wear', aid.wear],
        ['Thickness', `${aid.thicknessMm} mm pressed`],
        ['Stands in', names.length > 0 ? names.join(', then ') : 'nothing for it'],
        ...yes('Note', aid.note !== '', aid.note),
      ]}
    />
  );
}

export function ParcelDetail({ parcel, product, state }: { parcel: Parcel; product: string; state: ParcelState | undefined }) {
  const house = useUnits();
  const { widthMm, heightMm, trial, counted, sheetOn } = parcel;
  const mm = (value: number) => formatForHouse('length', value, house);
  const open = unlooked(parcel);
  return (
    <Facts
      name={parcel.name}
      under={parcelState(parcel, state).says}
      facts={[
        ['Holds', `${parcel.art}, ${product}`],
        ...yes('From', parcel.supplier !== '', parcel.supplier),
        [
          'Ordered',
          `${parcel.ordered}${parcel.spares > 0 ? ` and ${parcel.spares} spares` : ''}${parcel.perSheet > 1 ? `, ${parcel.perSheet} on a sheet` : ''}`,
        ],
        ...yes('Size', widthMm !== null && heightMm !== null, `${mm(widthMm ?? 0)} by ${mm(heightMm ?? 0)}`),
        ...yes('Colour', parcel.colour !== '', parcel.colour),
        ['Came', parcel.arrivedOn === null ? 'not yet' : isoDayText(parcel.arrivedOn)],
        ...yes('Counted', counted !== null, `${counted?.n ?? 0}, ${instantText(counted?.at ?? 0)}`),
        ...yes('Looked over', parcel.arrivedOn !== null, open.length === 0 ? 'as ordered' : `not yet: ${open.join(', ')}`),
        ...yes('Sheet', sheetOn !== null, `of ${sheetOn}`),
        ...yes(
          'Trial',
          parcel.arrivedOn !== null,
          trial ? `${trial.result}, ${trial.by}, ${isoDayText(trial.on)}${trial.note ? `: ${trial.note}` : ''}` : 'none yet',
        ),
        ...yes('Where', parcel.lies !== '', parcel.lies),
        ...yes('Note', parcel.note !== '', parcel.note),
        ...(state?.runs ?? []).map(
          ({ runId, orderId, startedAt, used }): Fact => [
            `Took ${used}`,
            <a key={runId} href={stationHref(orderId, 'record')}>
              the run of {instantText(startedAt)}
            </a>,
          ],
        ),
      ]}
    />
  );
}

export function TestedDetail({ tested }: { tested: Tested }) {
  const house = useUnits();
  return (
    <Facts
      name={tested.name}
      under={`${tested.result}, ${tested.by}, ${tested.testedOn}`}
      facts={[
        ['Set to', formatForHouse('temperature', tested.setC, house)],
        ...yes('Read', tested.readC !== null, formatForHouse('temperature', tested.readC ?? 0, house)),
        ['Time', formatDuration(tested.timeS)],
        ['Peeled', tested.peel === 'none' ? 'nothing to peel' : tested.peel],
        ...yes('Sheet', tested.offSheet, 'outside it, and meant so'),
        ...yes('Note', tested.note !== '', tested.note),
      ]}
    />
  );
}
