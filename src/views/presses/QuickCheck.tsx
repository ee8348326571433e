/** A quick check: one to five readings in a minute, told at once against the last survey. */
import { useEffect, useRef } from 'react';
import { z } from 'zod';
import type { PressReport } from '../../contract';
import { FINISHES, InstrumentSchema, isAsItWas, MOST_CHECKED, PLANS, type PlatenMap, type Press } from '../../core/press';
import { formatForHouse, type HouseUnits, toInside } from '../../core/units';
import { isoDayText } from '../../ui/days';
import { useDocForm } from '../../ui/docForm';
import { Fault } from '../../ui/Fault';
import { useUnits } from '../../ui/house';
import { QuantityField } from '../../ui/QuantityField';
import { useRoute } from '../../ui/query';
import { Term } from '../shell/Term';
import { InstrumentFields } from './InstrumentFields';
import { useKeepRecord } from './useKeepRecord';

const PLACES = ['Middle', 'Back left', 'Back right', 'Front right', 'Front left'] as const;
const CheckSchema = z.object({
  instrument: InstrumentSchema,
  finish: z.enum(FINISHES),
  setC: z.number(),
  read: z.array(z.number().nullable()).refine((read) => read.some((value) => value !== null), 'Read one place at least.'),
});
interface QuickCheckProps {
  press: Press;
  report: PressReport;
  map: PlatenMap;
  /** It was asked for: it is open, and in view. */
  isOpen: boolean;
}

export function QuickCheck({ press, report, map, isOpen }: QuickCheckProps) {
  const box = useRef<HTMLDetailsElement>(null);
  useEffect(() => {
    if (isOpen) box.current?.scrollIntoView({ block: 'center' });
  }, [isOpen]);
  const house = useUnits();
  const room = useRoute('house', {});
  const form = useDocForm<z.input<typeof CheckSchema>>(CheckSchema, {
    instrument: { kind: 'probe' },
    finish: press.finish ?? FINISHES[0],
    // round as this press is set, whatever the house reads
    setC: press.set.unit === 'F' ? toInside(300, 'F') : 150,
    read: PLACES.map(() => null),
  });
  const { doc, patch, fields } = form;
  const { save: keep, fault } = useKeepRecord(press.id);
  const last = report.checks.find(({ platen }) => platen === map.platen);
  const places = PLANS.five(map).slice(0, MOST_CHECKED);
  const roomC = room.data?.house.room.tempC ?? 21;
  const send = form.handle(async ({ instrument, finish, setC, read }) => {
    const readings = places.flatMap((place, i) => {
      const readC = read[i];
      return typeof readC === 'number' ? [{ ...place, setC, readC }] : [];
    });
    if (await keep({ kind: 'quick check', platen: map.platen, instrument, finish, roomC, readings }))
      form.begin({ instrument, finish, setC, read: PLACES.map(() => null) });
  });
  return (
    <section aria-label="Quick check" className="pt-4">
      <h3 className="pb-1">
        <Term of="survey">Quick check</Term>: is it still what the survey found?
      </h3>
      {last && <Found check={last} map={map} house={house} />}
      <details ref={box} open={isOpen || undefined}>
        <summary className="min-h-12 cursor-pointer py-3 font-semibold text-teal">Read one to five places</summary>
        <form onSubmit={send} aria-label="Quick check" className="grid grid-cols-1 gap-x-5 sm:grid-cols-3">
          <p className="col-span-full border-l-4 border-amber mb-3 pl-3">
            The platen is at cooking temperature: hold probe or gun by its handle, and keep the other hand out.
          </p>
          <InstrumentFields
            instrument={doc.instrument}
            finish={doc.finish}
            house={house}
            onAnother={(instrument) => patch({ instrument })}
            onSet={(instrument) => patch({ instrument })}
            onFinish={(finish) => patch({ finish })}
          />
          <QuantityField
            label="Press set to"
            kind="temperature"
            unit={press.set.unit}
            house={house}
            value={doc.setC}
            min={press.set.minC}
            max={press.set.maxC}
            onChange={(value) => value !== null && patch({ setC: value })}
          />
          {PLACES.map((place, i) => (
            <QuantityField
              key={place}
              label={`${place} reads`}
              kind="temperature"
              unit={press.set.unit}
              house={house}
              value={doc.read[i] ?? null}
              min={0}
              max={350}
              onChange={(value) => patch({ read: doc.read.map((figure, at) => (at === i ? value : figure)) })}
              problem={i === 0 ? fields.read : undefined}
            />
          ))}
          <button type="submit" className="act mt-2 justify-self-start">
            Save this check
          </button>
        </form>
      </details>
      <Fault of={fault} />
    </section>
  );
}

/** What the last check found, and what to do about it. */
function Found({ check, map, house }: { check: PressReport['checks'][number]; map: PlatenMap; house: HouseUnits }) {
  const asItWas = isAsItWas(check, map.offset.sd);
  const by = formatForHouse('temperatureDifference', Math.abs(check.differenceK), house, 0);
  const sure = formatForHouse('temperatureDifference', 2 * check.sdK, house, 0);
  const than = check.differenceK < 0 ? 'cooler' : 'hotter';
  return (
    <p role="status" className={asItWas ? '' : 'border-l-4 border-brick pl-3 font-semibold'}>
      {isoDayText(check.on)}: {by} {than} than its survey of {isoDayText(map.on)}, give or take {sure}.{' '}
      {asItWas
        ? 'That is as it was: cards are surer of it again.'
        : 'It has changed, or one of the two was read wrong. Check it once more; if it stays so, survey it anew. Cards follow it meanwhile.'}
    </p>
  );
}
