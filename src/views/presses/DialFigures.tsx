/** A dial: where each band stands on it, and how sure that is. */
import { PRESSURE_BANDS } from '../../core/materials';
import { BAND_KPA, bandMiddle, contactAtReading, type Press, readingForContact } from '../../core/press';
import { formatForHouse, type HouseUnits } from '../../core/units';
import { DataTable } from '../../ui/DataTable';
import { Term } from '../shell/Term';

export function DialFigures({ gauge, house }: { gauge: Extract<Press['gauge'], { kind: 'dial' | 'air' }>; house: HouseUnits }) {
  if (gauge.pairs.length < 2)
    return (
      <p className="max-w-prose pb-3">
        Its dial was never tied to anything, so its cards guess: light 2–4, medium 4–6, firm 6–8, heavy 8–9. Add two pairs or more under
        Facts: a reading, and the contact pressure that film or paper slips showed there.
      </p>
    );
  return (
    <section aria-label="Dial">
      <h3 className="pb-1">
        <Term of="band">Where each band stands on the dial</Term>
      </h3>
      <DataTable
        columns={[
          { id: 'band', head: '', cell: ({ band }) => band, look: 'font-semibold' },
          { id: 'reading', head: '', cell: ({ reading }) => reading.toFixed(1), figures: true, look: 'text-right text-lg' },
          {
            id: 'contact',
            head: '',
            figures: true,
            cell: ({ band }) => (
              <>
                {formatForHouse('contactPressure', BAND_KPA[band].low, house)} to{' '}
                {formatForHouse('contactPressure', BAND_KPA[band].high, house)} of contact
              </>
            ),
          },
          {
            id: 'doubt',
            head: '',
            look: 'label',
            cell: ({ sdKPa, beyond }) => (
              <>
                give or take {formatForHouse('contactPressure', 1.96 * sdKPa, house, 1)}
                {beyond ? ', beyond what was measured' : ''}
              </>
            ),
          },
        ]}
        rows={PRESSURE_BANDS.map((band) => {
          const reading = readingForContact(gauge.pairs, bandMiddle(band));
          return { band, reading, ...contactAtReading(gauge.pairs, reading) };
        })}
        idOf={({ band }) => band}
      />
      <p className="label max-w-prose pt-2">A garment raises the reading: read it during the pre-press, with the piece on.</p>
    </section>
  );
}
