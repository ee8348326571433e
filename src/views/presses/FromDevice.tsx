/** Readings as devices give them: offered once they have come to rest, never taken by themselves. */
import { useEffect, useState } from 'react';
import { call } from '../../contract';
import type { Place, Press } from '../../core/press';
import { formatQuantity, type HouseUnits, houseUnit } from '../../core/units';
import { useRoute } from '../../ui/query';
import type { SurveyDraft } from './surveyDraft';

interface FromDeviceProps {
  press: Press;
  draft: SurveyDraft;
  next: Place;
  house: HouseUnits;
  onTake: (readC: number) => void;
}

export function FromDevice({ press, draft, next, house, onTake }: FromDeviceProps) {
  const { data } = useRoute('devices', {});
  const kind = draft.instrument.kind === 'infrared' ? 'gun' : 'probe';
  const mine = draft.instrument.kind === 'strip' ? [] : (data?.devices.filter((device) => device.kind === kind) ?? []);
  const simulated = mine.some((device) => device.simulated);
  // a reading of the place before is not the next one’s: the hand needs a moment to get there
  const [there, setThere] = useState(false);
  useEffect(() => {
    setThere(false);
    const arrives = setTimeout(() => setThere(true), 1500);
    return () => clearTimeout(arrives);
  }, [next.xMm, next.yMm, draft.setC]);
  useEffect(() => {
    if (!simulated) return;
    // the stand-in’s hand goes to the place that is lit; a press it does not play is left alone
    call('putHand', { body: { pressId: press.id, xMm: next.xMm, yMm: next.yMm, setC: draft.setC } }).catch(() => undefined);
  }, [simulated, press.id, next.xMm, next.yMm, draft.setC]);
  const readout = data?.devices.find((device) => device.pressId === press.id)?.press;
  return (
    <>
      {readout && readout.state !== 'ready' && (
        <p className="border-l-4 border-amber pl-3">
          {press.name} is {readout.state} at {formatQuantity(readout.readoutC, press.set.unit)}: wait until it has settled, or the map is of
          a press on the move.
        </p>
      )}
      {mine.map((device) => (
        <p key={device.device} className="flex flex-wrap items-center gap-x-4 py-1" data-device={device.device}>
          {device.reading ? (
            <>
              <button
                type="button"
                className="act"
                disabled={!device.reading.steady || !there}
                onClick={() => device.reading && onTake(device.reading.readC)}
              >
                Add it from {device.device}
              </button>
              <span className="figure text-xl">{formatQuantity(device.reading.readC, houseUnit('temperature', house).first, 1)}</span>
              <span className="label">
                {device.reading.steady ? 'at rest' : 'still moving'}
                {device.simulated ? ', simulated' : ''}
              </span>
            </>
          ) : (
            <span className="text-brick">
              {device.device}:{' '}
              {device.state === 'silent'
                ? 'says nothing'
                : device.state === 'clock jumped'
                  ? 'its clock jumped'
                  : `sends nonsense (${device.fault})`}
              . Read it by hand.
            </span>
          )}
        </p>
      ))}
    </>
  );
}
