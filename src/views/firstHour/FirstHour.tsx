/** The first hour: from an empty shop to the first piece, a step at a time; any may be left out and come back to. */
import { useState } from 'react';
import { type FirstStep, NOTHING_TOLD, tellDone, tellLeftOut } from '../../core/firstHour';
import type { House } from '../../core/house';
import { Drawing } from '../../ui/Drawing';
import { Fault } from '../../ui/Fault';
import { Island, Pending, useRoute } from '../../ui/query';
import { useHouse } from '../house/useHouse';
import { goTo } from '../shell/goTo';
import type { Doing } from './doing';
import { CardStep, MeasureStep, OrderStep, PieceStep } from './LeadingSteps';
import { PressStep } from './PressStep';
import { SampleShop } from './SampleShop';
import { StepList } from './StepList';
import { STEP_WORDS } from './steps';
import { TransfersStep } from './TransfersStep';
import { UnitsStep } from './UnitsStep';

export function FirstHour({ initialStep }: { initialStep: string | null }) {
  return (
    <Island>
      <Page initialStep={initialStep} />
    </Island>
  );
}

function Page({ initialStep }: { initialStep: string | null }) {
  const { data: shop, error } = useRoute('firstHour', {});
  const { data: now, error: houseError, fault, save } = useHouse();
  const [chosen, setChosen] = useState(initialStep);
  if (!shop || !now) return <Pending error={error ?? houseError} what="how far the shop is" />;
  const told = now.house.firstHour ?? NOTHING_TOLD;
  const on = shop.steps.find(({ id }) => id === chosen)?.id ?? shop.next;
  /** What was told of a step, with what else changes in the house by it; then the next one. */
  const tell = async (firstHour: House['firstHour'], what: string, change: Partial<House> = {}) => {
    const isKept = await save({ ...now.house, ...change, ...(firstHour && { firstHour }) }, what);
    if (isKept) setChosen(null);
    return isKept;
  };
  const does: Doing | null = on && {
    shop,
    house: now.house,
    onDone: (change) => tell(tellDone(told, on), `${STEP_WORDS[on].title}: done`, change),
    onNext: () => setChosen(null),
  };
  return (
    <div className="mx-auto max-w-[77.5rem] px-5 pt-4 narrow:px-4">
      <div className="flex flex-wrap items-baseline gap-x-4 pb-2">
        <h1 className="flex-1">First hour</h1>
        <SampleShop />
        <button
          type="button"
          className="act act-quiet"
          onClick={async () => (await save({ ...now.house, firstHour: { ...told, isOver: true } }, 'first hour closed')) && goTo('/')}
        >
          I know my way
        </button>
      </div>
      <Fault of={fault} className="border-l-4 border-brick pl-3 text-brick" />
      <div className="grid grid-cols-[20rem_minmax(0,1fr)] gap-8 max-[62rem]:flex max-[62rem]:flex-col-reverse">
        <StepList steps={shop.steps} on={on} onChoose={setChosen} />
        {does && on ? (
          <section aria-labelledby="step" className="rule-top max-w-[48rem] pt-4">
            <div className="flex items-start gap-5 pb-4">
              <span className="text-ink narrow:hidden">
                <Drawing of={STEP_WORDS[on].drawing} />
              </span>
              <div>
                <h2 id="step" className="text-2xl">
                  {STEP_WORDS[on].title}
                </h2>
                <p className="pt-1">{STEP_WORDS[on].why}</p>
              </div>
            </div>
            <StepOf key={on} step={on} {...does} />
            {shop.steps.find(({ id }) => id === on)?.state === 'next' && (
              <p className="pt-6">
                <button
                  type="button"
                  className="act act-quiet"
                  onClick={() => void tell(tellLeftOut(told, on), `${STEP_WORDS[on].title}: left out for now`)}
                >
                  Not now
                </button>{' '}
                <span className="label">{STEP_WORDS[on].later}</span>
              </p>
            )}
          </section>
        ) : (
          <section className="rule-top max-w-prose pt-4">
            <h2 className="text-2xl">{shop.isOver ? 'A piece is recorded: that was it.' : 'Nothing is left but what you left out.'}</h2>
            <p className="py-3">
              {shop.isOver ? 'The bench has your orders from here on.' : 'Choose a step on the list to come back to it.'}
            </p>
            <a className="act act-main" href="/">
              To the bench
            </a>
          </section>
        )}
      </div>
    </div>
  );
}

const STEPS: Record<FirstStep, (does: Doing) => React.ReactNode> = {
  units: UnitsStep,
  press: PressStep,
  measure: MeasureStep,
  transfers: TransfersStep,
  order: OrderStep,
  card: CardStep,
  piece: PieceStep,
};

function StepOf({ step, ...does }: Doing & { step: FirstStep }) {
  const Step = STEPS[step];
  return <Step {...does} />;
}
