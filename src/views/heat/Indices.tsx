/** What a stack and a setting come to, one column a variant: bond as a band, harm against its limits, temperatures, peel. */
import type { ReactNode } from 'react';
import { type BondBand, type PeelClock, SOUND } from '../../core/heat';
import type { Simulated } from '../../core/heatBench';
import { formatDuration, formatQuantity, type HouseUnits } from '../../core/units';
import { type Column, DataTable } from '../../ui/DataTable';

export interface Reckoned {
  name: string;
  setC: number;
  timeS: number;
  seen: Simulated;
  band: BondBand;
  peel: ({ where: string } & PeelClock)[];
}

const bondWord = (bond: number): string => (bond < SOUND.low ? 'too little' : bond > SOUND.high ? 'too much' : 'sound');

/** A band on a scale from 0.5 to 1.7, the sound part of it lit. */
function BondScale({ band }: { band: BondBand }) {
  const x = (bond: number) => Math.max(0, Math.min(100, ((bond - 0.5) / 1.2) * 100));
  const words = `bond ${band.bond.toFixed(2)}, nine in ten from ${band.low.toFixed(2)} to ${band.high.toFixed(2)}`;
  return (
    <svg viewBox="0 0 100 14" preserveAspectRatio="none" className="mt-1 block h-5 w-full" role="img" aria-label={words}>
      <rect x="0" y="5" width="100" height="4" fill="var(--color-line)" />
      <rect x={x(SOUND.low)} y="5" width={x(SOUND.high) - x(SOUND.low)} height="4" fill="var(--color-teal)" opacity="0.55" />
      <rect
        x={x(band.low)}
        y="2"
        width={x(band.high) - x(band.low)}
        height="10"
        fill="none"
        stroke="var(--color-ink)"
        strokeWidth="1"
        vectorEffect="non-scaling-stroke"
      />
      <rect x={x(band.bond) - 0.5} y="0" width="1" height="14" fill="var(--color-ink)" />
    </svg>
  );
}

const share = (value: number | null): ReactNode =>
  value === null ? (
    <span className="label">no limit</span>
  ) : (
    <span className={value > 1 ? 'font-semibold text-brick' : ''}>
      <span className="figure">{value < 0.01 ? 'under 0.01' : value.toFixed(2)}</span>
      {value > 1 ? ', past it' : ''}
    </span>
  );

const clock = (s: number | null): string => (s === null ? 'not at all' : formatDuration(Math.round(s)));

interface IndexRow {
  name: string;
  hint?: string;
  of: (reckoned: Reckoned) => ReactNode;
}

export function Indices({ columns, house }: { columns: readonly Reckoned[]; house: HouseUnits }) {
  const unit = house.temperature;
  const rows: IndexRow[] = [
    {
      name: 'Set',
      of: ({ setC, timeS }) => (
        <span className="figure">{`${formatQuantity(setC, unit)}, ${formatDuration(Math.round(timeS * 10) / 10)}`}</span>
      ),
    },
    {
      name: 'Bond',
      hint: `sound: ${SOUND.low.toFixed(2)} to ${SOUND.high.toFixed(2)}`,
      of: ({ band }) => (
        <>
          <span className="font-semibold">
            <span className="figure">{`${band.low.toFixed(2)} to ${band.high.toFixed(2)}`}</span> · {bondWord(band.bond)}
          </span>
          <BondScale band={band} />
          <span className="label">
            about <span className="figure">{Math.round(band.soundChance * 100)} %</span> of pieces sound; most unsure: {band.sources[0]?.of}
          </span>
        </>
      ),
    },
    { name: 'Mark on the bare face', hint: '1 = its limit', of: ({ seen }) => share(seen.read.mark) },
    { name: 'Harm', hint: '1 = its limit', of: ({ seen }) => share(seen.read.damage) },
    { name: 'Dye', hint: '1 = its limit', of: ({ seen }) => share(seen.read.dye) },
    {
      name: 'As the press opens',
      of: ({ seen: { read } }) => (
        <span className="figure">
          {`glue ${formatQuantity(read.glueC, unit)}, face ${formatQuantity(read.faceC, unit)}, inside ${formatQuantity(read.insideC, unit)}`}
        </span>
      ),
    },
    {
      name: 'Water',
      of: ({ seen: { waterGm2, read } }) =>
        waterGm2.loaded < 0.5 ? (
          <span className="label">dry from the first</span>
        ) : (
          <span>
            <span className="figure">{`${Math.round(waterGm2.loaded)} g/m²`}</span> loaded,{' '}
            <span className="figure">{`${Math.round(read.dampShare * 100)} %`}</span> of it left as it is pressed
          </span>
        ),
    },
    {
      name: 'Warm, then cold',
      hint: 'after opening',
      of: ({ peel }) => (
        <ul>
          {peel.map(({ where, warmS, coldS }) => (
            <li key={where}>
              {where === 'air' ? 'in air' : `on ${where === 'table' ? 'a table' : 'the base'}`}:{' '}
              <span className="figure">{clock(warmS)}</span>, <span className="figure">{clock(coldS)}</span>
            </li>
          ))}
        </ul>
      ),
    },
  ];
  return (
    <DataTable
      look="w-full text-left"
      label="What it comes to"
      columns={[
        {
          id: 'of what',
          head: '',
          namesRow: true,
          look: 'w-44 py-2',
          cell: ({ name, hint }) => (
            <>
              {name}
              {hint && <span className="label block">{hint}</span>}
            </>
          ),
        },
        ...columns.map(
          (column): Column<IndexRow> => ({
            id: column.name,
            head: columns.length > 1 ? column.name : '',
            headLook: 'font-bold text-ink',
            look: 'py-2',
            cell: ({ of }) => of(column),
          }),
        ),
      ]}
      rows={rows}
      idOf={({ name }) => name}
    />
  );
}
