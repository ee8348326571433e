/** The art where it lies on the surveyed platen. Nothing is drawn for a platen that was never surveyed. */

import type { Card } from '../../core/card';
import { areaOfArt } from '../../core/draft';
import type { Print } from '../../core/order';
import type { Press } from '../../core/press';
import type { HouseUnits } from '../../core/units';
import { isoDayText } from '../../ui/days';
import { PlatenMapDrawing } from '../../ui/PlatenMap';
import { useRoute } from '../../ui/query';

export function ArtOnPlaten({ press, print, card, house }: { press: Press; print: Print; card: Card; house: HouseUnits }) {
  const report = useRoute('pressReport', { params: { id: press.id } });
  const map = report.data?.maps.find((map) => map.platen === (print.choices.platenId ?? 'upper'));
  if (!map) return null;
  return (
    <section aria-label="The art on the platen" className="rule-top mt-3 pt-3">
      <h3 className="pb-2">
        On the platen <span className="font-normal text-soft">as surveyed {isoDayText(map.on)}</span>
      </h3>
      <PlatenMapDrawing map={map} house={house} most={260} art={areaOfArt(print, card.laid?.lay ?? { xMm: 0, yMm: 0, turn: 0 })} />
    </section>
  );
}
