/** Settings the house keeps for a press with a transfer: what was found at the press, what spoke for it, and the click that drops it. */

import { type HouseSetting, withoutSetting } from '../../core/house';
import { CLOSING_NAMES } from '../../core/sheet';
import { formatDuration, formatQuantity } from '../../core/units';
import { isoDayText } from '../../ui/days';
import { Fault } from '../../ui/Fault';
import { useRoute } from '../../ui/query';
import { useHouse } from './useHouse';

export function KeptSettings() {
  const { data, fault, save } = useHouse();
  const shelf = useRoute('shelf', {}).data;
  const presses = useRoute('presses', {}).data?.presses;
  if (!data || !shelf || !presses) return null;
  const { house } = data;
  const { settings = [] } = house;
  const pressOf = ({ pressId }: HouseSetting) => presses.find(({ press }) => press.id === pressId)?.press;
  const value = (setting: HouseSetting): string => {
    if (setting.of === 'pressure') return `${setting.value} pressure`;
    if (setting.of === 'time') return formatDuration(setting.value);
    return formatQuantity(setting.value, pressOf(setting)?.set.unit ?? house.units.temperature);
  };
  const name = (setting: HouseSetting) => shelf.products.find(({ id }) => id === setting.productId)?.name ?? setting.productId;
  return (
    <section aria-label="Settings the house keeps" className="rule-top mt-6 pt-4">
      <h2>Settings the house keeps</h2>
      <p className="max-w-prose pt-1 pb-2">
        A card for this transfer on this press starts from them, where its sheet and the cloth allow. What is chosen on a card comes first.
      </p>
      {settings.length === 0 && (
        <p className="label">
          None yet: after a run that was set otherwise than carded, its sheet offers to keep that; the other closings are kept from a card.
        </p>
      )}
      <ul>
        {settings.map((setting) => (
          <li
            key={`${setting.pressId} ${setting.productId} ${setting.of} ${setting.stage ?? 'press'}`}
            className="rule-top grid grid-cols-[1fr_auto] items-center gap-x-3 py-1"
          >
            <span>
              {name(setting)} on {pressOf(setting)?.name ?? setting.pressId}
              {setting.stage && `, ${CLOSING_NAMES[setting.stage].toLowerCase()}`}: <span className="figure">{value(setting)}</span>
              <span className="label block">
                kept on {isoDayText(setting.on)}{' '}
                {setting.good + setting.spoiled === 0 ? (
                  'from a card'
                ) : (
                  <>
                    after <span className="figure">{setting.good}</span> good and <span className="figure">{setting.spoiled}</span> spoiled
                  </>
                )}
              </span>
            </span>
            <button
              type="button"
              className="act act-quiet whitespace-nowrap underline"
              onClick={() => void save(withoutSetting(house, setting), `${value(setting)} no longer kept`)}
            >
              Delete
            </button>
          </li>
        ))}
      </ul>
      <Fault of={fault} />
    </section>
  );
}
