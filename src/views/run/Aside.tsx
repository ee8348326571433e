/** What is noted beside the run by one key and a few letters: a word about a piece, a reading, or a setting that is not as carded. */
import { useEffect, useRef, useState } from 'react';
import type { Card } from '../../core/card';
import { PRESSURE_BANDS } from '../../core/materials';
import {
  closingsNow,
  doubtOf,
  type FiguresNow,
  figuresNow,
  READ_BY,
  type ReadBy,
  type RunFact,
  type RunPlan,
  type RunState,
} from '../../core/run';
import { formatFigure, formatQuantity, parseQuantity, phraseText, UNITS } from '../../core/units';
import { useUnits } from '../../ui/house';
import { type InHand, READ_KEYS, readByKey, rememberUsed, usedLast, useInHand } from './readBy';

export type AsideKind = 'note' | 'time' | 'temperature' | 'pressure' | 'reading';

interface AsideProps {
  kind: AsideKind;
  card: Card;
  /** The run, each of whose closings can be set, and the stage in hand; null: it keeps settings of the full press alone. */
  setting: { plan: RunPlan; run: RunState; stage: number } | null;
  /** What the press's panel says this moment, °C; null: no device tells. */
  readoutC: number | null;
  piece: number | undefined;
  onFact: (fact: RunFact) => void;
  onClose: () => void;
}

export function Aside({ kind, card, setting, readoutC, piece, onFact, onClose }: AsideProps) {
  const { unit } = card.window.settable;
  const closings = setting ? closingsNow(card, setting.plan, setting.run) : [];
  const [of, setOf] = useState(setting ? figuresNow(card, setting.plan, setting.run, setting.stage)?.of : undefined);
  const closing = closings.find((entry) => entry.of === of);
  const wantedC = readoutC ?? closing?.tempC ?? card.set.tempC;
  const inHand = useInHand();
  const [by, setBy] = useState<ReadBy>(usedLast);
  const shown = (next: ReadBy): string => {
    if (next === 'panel') return formatFigure(wantedC, unit);
    const device = inHand.find((entry) => entry.by === next);
    return device ? formatFigure(device.readC, unit) : '';
  };
  // until something is typed the field follows what the instrument shows
  const [own, setTyped] = useState<string | null>(null);
  const typed = own ?? (kind === 'reading' ? shown(by) : '');
  const [fault, setFault] = useState<string | null>(null);
  // what was asked about once is taken the second time
  const [asked, setAsked] = useState<string | null>(null);
  const field = useRef<HTMLInputElement>(null);
  const units = useUnits();
  const gauge = card.set.pressure.setting.gauge;
  // ready to be kept as it stands, or typed over
  useEffect(() => {
    field.current?.select();
    // on a phone it opens below what is seen
    field.current?.scrollIntoView({ block: 'center' });
  }, []);
  const keep = (text = typed) => {
    const fact = factFrom(kind, text.trim(), {
      unit,
      piece,
      by,
      linePressure: gauge === 'air' ? units.linePressure : null,
      of,
    });
    if (typeof fact === 'string') return setFault(fact);
    const doubt = asked === text ? null : doubtOf(fact, card);
    if (doubt) {
      setAsked(text);
      return setFault(`${phraseText(doubt, units)} Save once more to set it all the same.`);
    }
    if (fact.kind === 'read') rememberUsed(by);
    onFact(fact);
    onClose();
  };
  const chooseBy = (next: ReadBy) => {
    setBy(next);
    setFault(null);
    setTyped(null);
    field.current?.focus();
  };
  useEffect(() => {
    const onKey = (event: KeyboardEvent) => {
      if (event.key === 'Escape') onClose();
    };
    document.addEventListener('keydown', onKey);
    return () => document.removeEventListener('keydown', onKey);
  }, [onClose]);
  const device = kind === 'reading' ? inHand.find((entry) => entry.by === by) : undefined;
  const instruments = READ_BY.filter((entry) => entry !== 'gauge' || gauge !== 'feel');
  const whose = closingWord(of);
  const sets = kind === 'time' || kind === 'temperature' || kind === 'pressure';
  return (
    <div className="flex flex-wrap items-end gap-3 pt-3">
      {sets && closings.length > 1 && (
        <Choices
          label="Of"
          list={closings.map((entry) => closingWord(entry.of))}
          chosen={whose}
          onChoose={(word) => {
            setOf(closings.find((entry) => closingWord(entry.of) === word)?.of);
            setFault(null);
            field.current?.focus();
          }}
        />
      )}
      {kind === 'reading' && (
        <Choices label="Read by" list={instruments} chosen={by} onChoose={chooseBy} keyOf={(entry) => READ_KEYS[entry].toUpperCase()} />
      )}
      {kind === 'pressure' ? (
        <Choices
          label={`Pressure of the ${whose} from now on`}
          list={PRESSURE_BANDS}
          chosen={closing?.band ?? card.set.pressure.band}
          onChoose={keep}
          isFirst
        />
      ) : (
        <>
          <label className="block min-w-80 flex-1">
            <span className="text-night-soft">{labelOf(kind, { whose, piece, unit: by === 'gauge' ? null : UNITS[unit].symbol })}</span>
            {device && <span className="pl-2 text-night-soft">{deviceWords(device, unit)}</span>}
            <input
              ref={field}
              className="entry mt-1 border-night-line bg-night text-xl text-white"
              value={typed}
              maxLength={500}
              autoComplete="off"
              inputMode={kind === 'note' ? 'text' : 'decimal'}
              aria-invalid={fault ? true : undefined}
              onChange={(event) => {
                setTyped(event.target.value);
                setFault(null);
              }}
              onKeyDown={(event) => {
                if (event.key === 'Enter') return keep();
                // what is typed takes the place of what the instrument shows
                if (own === null) event.currentTarget.select();
                // a reading has no letters: one takes an instrument, and what it shows
                const next = kind === 'reading' && !event.ctrlKey && !event.metaKey ? readByKey(event.key) : undefined;
                if (!next || !instruments.includes(next)) return;
                event.preventDefault();
                chooseBy(next);
              }}
            />
          </label>
          <button type="button" className="act border-amber text-amber" onClick={() => keep()}>
            Save <span className="key">Enter</span>
          </button>
        </>
      )}
      <button type="button" className="act border-night-line text-white" onClick={onClose}>
        Cancel <span className="key">Esc</span>
      </button>
      {fault && (
        <p role="alert" className="basis-full text-lg text-amber">
          {fault}
        </p>
      )}
    </div>
  );
}

const deviceWords = ({ device, readC, steady }: InHand, unit: 'C' | 'F'): string =>
  `${device} shows ${formatQuantity(readC, unit)}${steady ? '' : ', still moving'}`;

const closingWord = (of: FiguresNow['of']): string => of ?? 'full press';

interface ChoicesProps<T extends string> {
  label: string;
  list: readonly T[];
  chosen: T;
  onChoose: (entry: T) => void;
  /** The letter that takes an entry. */
  keyOf?: (entry: T) => string;
  /** Its chosen one has the keys. */
  isFirst?: boolean;
}

function Choices<T extends string>({ label, list, chosen, onChoose, keyOf, isFirst = false }: ChoicesProps<T>) {
  const on = useRef<HTMLButtonElement>(null);
  useEffect(() => {
    if (isFirst) on.current?.focus();
  }, [isFirst]);
  return (
    <fieldset className="border-0 p-0">
      <legend className="pb-1 text-night-soft">{label}</legend>
      <span className="flex flex-wrap gap-2">
        {list.map((entry) => (
          <button
            key={entry}
            ref={entry === chosen ? on : undefined}
            type="button"
            aria-pressed={entry === chosen}
            className={`act min-h-12 ${entry === chosen ? 'border-amber text-amber' : 'border-night-line text-white'}`}
            onClick={() => onChoose(entry)}
          >
            {entry} {keyOf && <span className="key">{keyOf(entry)}</span>}
          </button>
        ))}
      </span>
    </fieldset>
  );
}

function labelOf(kind: AsideKind, { whose, piece, unit }: { whose: string; piece: number | undefined; unit: string | null }): string {
  switch (kind) {
    case 'note':
      return `A note about${piece === undefined ? '' : ` piece ${piece}`}`;
    case 'time':
      return `Seconds of the ${whose} from now on`;
    case 'reading':
      return unit === null ? 'What the gauge shows, with the piece in the press' : `What it reads, ${unit}`;
    default:
      return `Set temperature of the ${whose} from now on, ${unit}`;
  }
}

interface Typing {
  unit: 'C' | 'F';
  piece: number | undefined;
  by: ReadBy;
  /** The unit of an air line's gauge; null: a dial. */
  linePressure: 'bar' | 'psi' | null;
  of: FiguresNow['of'];
}

/** The fact typed, or what is wrong with it. */
function factFrom(kind: AsideKind, text: string, { unit, piece, by, linePressure, of }: Typing): RunFact | string {
  if (text === '') return 'Nothing is typed yet.';
  const own = of && { of };
  if (kind === 'note') return { kind: 'noted', note: text, ...(piece !== undefined && { piece }) };
  if (kind === 'pressure') return { kind: 'set pressure', band: text as FiguresNow['band'], ...own };
  if (kind === 'time') {
    const read = parseQuantity('duration', text, { unit: 's', min: 1, max: 3600 });
    return read.state === 'ok' ? { kind: 'set', timeS: read.value, ...own } : `Time: ${read.message}`;
  }
  if (kind === 'reading' && by === 'gauge') return gaugeFrom(text, linePressure);
  const read = parseQuantity('temperature', text, { unit, min: kind === 'reading' ? 0 : 40, max: kind === 'reading' ? 300 : 260 });
  if (read.state !== 'ok') return `Temperature: ${read.message}`;
  return kind === 'reading' ? { kind: 'read', by, value: read.value } : { kind: 'set temperature', tempC: read.value, ...own };
}

/** A dial's own figure, or an air line's pressure in kPa. */
function gaugeFrom(text: string, linePressure: Typing['linePressure']): RunFact | string {
  if (linePressure) {
    const read = parseQuantity('linePressure', text, { unit: linePressure, min: 0, max: 1500 });
    return read.state === 'ok' ? { kind: 'read', by: 'gauge', value: read.value } : `Gauge: ${read.message}`;
  }
  const value = Number(text.replace(',', '.'));
  return Number.isFinite(value) && value >= 0 && value <= 10 ? { kind: 'read', by: 'gauge', value } : 'Gauge: a dial shows 0 to 10.';
}
