/** What the shelf knows of one transfer, fabric or blank. */
import type { ReactNode } from 'react';
import { type Blank, blendLimits, describeComposition, FAMILIES, type Fabric, FIBRES, nominalOf, type Product } from '../../core/materials';
import { formatBeside, formatDuration, formatFigure, formatForHouse, formatQuantity, houseUnit, type UnitId } from '../../core/units';
import { useUnits } from '../../ui/house';

function Facts({ name, under, facts }: { name: string; under: string; facts: [string, ReactNode][] }) {
  return (
    <>
      <h2 className="text-lg">{name}</h2>
      <p className="label pb-2">{under}</p>
      <dl>
        {facts.map(([term, fact]) => (
          <div key={term} className="rule-top grid grid-cols-[7rem_1fr] gap-3 py-1.5">
            <dt className="label">{term}</dt>
            <dd>{fact}</dd>
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

function TemperatureRange({ low, high }: { low: number; high: number }) {
  const house = useUnits();
  const { first, beside } = houseUnit('temperature', house);
  const range = (unit: UnitId) => `${formatFigure(low, unit)} to ${formatQuantity(high, unit)}`;
  return (
    <span className="figure">
      {range(first)} {beside && <span className="label">{range(beside)}</span>}
    </span>
  );
}

export function ProductDetail({ product }: { product: Product }) {
  const { press } = product;
  const mirror = product.mirroredBySupplier
    ? 'done by the supplier'
    : product.faceDown
      ? 'mirrored, laid face down'
      : 'as read, laid face up';
  return (
    <Facts
      name={product.name}
      under={`${FAMILIES[product.familyId].name}, ${product.maker}`}
      facts={[
        ['At the surface', <TemperatureRange key="range" low={press.tempC.min} high={press.tempC.max} />],
        [
          'Nominal',
          <>
            <Temperature tempC={nominalOf(press.tempC)} />, <span className="figure">{formatDuration(nominalOf(press.timeS))}</span>
          </>,
        ],
        [
          'Time',
          <span className="figure">
            {formatDuration(press.timeS.min)} to {formatDuration(press.timeS.max)}
          </span>,
        ],
        [
          'Pressure',
          <>
            “{press.pressure.asStated}”, read as {press.pressure.band}
          </>,
        ],
        ['Peel', product.peel],
        ['Cover', product.cover],
        ['Base', product.base],
        ['Mirror', mirror],
        ['Stretches', product.stretches ? 'with the cloth' : 'no'],
        ['Coated cloth', product.forCoated ? 'made for it' : 'no'],
        ['Care', product.care],
        ['Sheet', `${product.source.sheet}, ${product.source.on}`],
      ]}
    />
  );
}

export function FabricDetail({ fabric }: { fabric: Fabric }) {
  const { mark, damage } = blendLimits(fabric.composition);
  return (
    <Facts
      name={fabric.name}
      under={describeComposition(fabric.composition)}
      facts={[
        [
          'May mark',
          <>
            <Temperature tempC={mark.limitC} />, its {FIBRES[mark.fibre].name}
          </>,
        ],
        [
          'Harm',
          <>
            <Temperature tempC={damage.limitC} />, its {FIBRES[damage.fibre].name}
          </>,
        ],
        ['Made', `${fabric.construction}, ${fabric.texture}, ${fabric.massGsm} g/m², ${fabric.thicknessMm} mm pressed`],
        ['Stretch', `${fabric.stretchPercent} %`],
        ['Coating', fabric.coating],
        ['Dye', fabric.dyeRisk.replace('-', ' ')],
      ]}
    />
  );
}

export function BlankDetail({ blank, fabric }: { blank: Blank; fabric: Fabric | undefined }) {
  return (
    <Facts
      name={blank.name}
      under={`${blank.kind}, ${blank.colour}`}
      facts={[
        ['Fabric', fabric ? `${fabric.name}: ${describeComposition(fabric.composition)}` : blank.fabricId],
        ['Sizes', blank.sizes.join(', ')],
        ['Colour', `${blank.colour} (${blank.shade})`],
        ['Tested', blank.tested ? `${blank.tested.on}: ${blank.tested.how}` : 'not yet; the fibres’ general figures hold'],
      ]}
    />
  );
}
