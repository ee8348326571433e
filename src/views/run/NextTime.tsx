/** What to set otherwise next time, with what speaks for it: kept by the house for this press and transfer, or on this card alone. */
import type { RunReply } from '../../contract';
import { timeScalesWithMass } from '../../core/draft';
import { type House, type HouseSetting, houseSetting, withoutSetting, withSetting } from '../../core/house';
import type { Choices } from '../../core/order';
import type { Doubted, NextTime } from '../../core/run';
import { CLOSING_NAMES } from '../../core/sheet';
import { formatDuration, formatQuantity } from '../../core/units';
import { isoDay } from '../../ui/days';
import { saysTheSame } from '../../ui/equal';
import { Fault } from '../../ui/Fault';
import { useRoute } from '../../ui/query';
import { useHouse } from '../house/useHouse';
import { useOrder } from '../orders/useOrder';

const evidence = ({ good, spoiled }: { good: number; spoiled: number }): string => `${good} good and ${spoiled} spoiled by the heat`;

function valueWords(next: Doubted['setting'] | NextTime, { card }: RunReply): string {
  if (next.of === 'pressure') return `${next.value} pressure`;
  return next.of === 'time' ? formatDuration(next.value) : formatQuantity(next.value, card.window.settable.unit);
}

const usedWith = ({ card }: RunReply) => ({ pressId: card.of.pressId, productId: card.of.productId });

/** Whether one time for this press and transfer would serve every blank. */
function useOneTimeServes({ card: { of } }: RunReply, kind: NextTime['of']): boolean {
  const shelf = useRoute('shelf', {}, kind === 'time').data;
  const product = shelf?.products.find(({ id }) => id === of.productId);
  const fabric = shelf?.fabrics.find(({ id }) => id === of.fabricId);
  return kind !== 'time' || Boolean(product && fabric && !timeScalesWithMass({ product, fabric }));
}

export function KeepSetting({ reply, next, endedAt }: { reply: RunReply; next: NextTime; endedAt: number }) {
  const { of, value, good, spoiled, stage } = next;
  const house = useHouse();
  const serves = useOneTimeServes(reply, of);
  const setting = { ...usedWith(reply), of, ...(stage && { stage }), value, on: isoDay(new Date(endedAt)), good, spoiled } as HouseSetting;
  const isKept = house.data && houseSetting(house.data.house, setting)?.value === value;
  const keep = () => house.data && void house.save(withSetting(house.data.house, setting), `${valueWords(next, reply)} kept by the house`);
  return (
    <div className="pt-2 text-xl">
      <p>
        {stage ? `${CLOSING_NAMES[stage]}: ` : of === 'time' ? 'Press it ' : of === 'temperature' ? 'Set it to ' : 'Press it with '}
        {valueWords(next, reply)} from the start: {evidence(next)} so.
      </p>
      <div className="flex flex-wrap items-center gap-3 pt-2">
        {serves && (
          <Act done={isKept ? 'The house keeps it.' : null} onAct={keep} disabled={!house.data}>
            Save it for {reply.card.of.productName} on {reply.card.of.pressName}
          </Act>
        )}
        <KeepOnCard reply={reply} next={next} />
      </div>
      <Fault of={house.fault} className="basis-full text-amber" />
    </div>
  );
}

function KeepOnCard({ reply, next }: { reply: RunReply; next: NextTime }) {
  const { orderId, lineId, printKey } = reply.run;
  const order = useOrder(orderId);
  const line = order.data?.order.lines.find((line) => line.id === lineId);
  const print = line?.prints.find((print) => print.key === printKey);
  const choices = print?.choices ?? {};
  const choice = choiceOf(choices, next);
  const isKept = print && saysTheSame({ ...choices, ...choice }, choices);
  const keep = () => {
    if (!line || !print) return;
    const changed = { ...print, choices: { ...print.choices, ...choice } };
    void order.saveLine(
      { ...line, prints: line.prints.map((print) => (print.key === printKey ? changed : print)) },
      'setting kept for next time',
    );
  };
  return (
    <>
      <Act done={isKept ? 'Kept on the card.' : null} onAct={keep} disabled={!print}>
        Only on this card
      </Act>
      <Fault of={order.fault} className="basis-full text-amber" />
    </>
  );
}

/** What of a print's choices becomes another by a setting of one closing. */
function choiceOf(choices: Choices, { of, stage, value }: NextTime): Choices {
  if (!stage) return { time: { timeS: value }, temperature: { setC: value }, pressure: { band: value } }[of] as Choices;
  const key = ({ time: 'stageS', temperature: 'stageC', pressure: 'stageBand' } as const)[of];
  return { [key]: { ...choices[key], [stage]: value } };
}

export function DropSetting({ reply, doubted }: { reply: RunReply; doubted: Doubted }) {
  const house = useHouse();
  const { setting } = doubted;
  const drop = (from: House) => void house.save(withoutSetting(from, setting), `${valueWords(setting, reply)} no longer kept`);
  return (
    <div className="pt-2 text-xl">
      <p>
        The house keeps {valueWords(setting, reply)} for this press and transfer: {evidence(doubted)} with it this time, {setting.good} and{' '}
        {setting.spoiled} when it was kept.
      </p>
      <div className="pt-2">
        <Act done={null} onAct={() => house.data && drop(house.data.house)} disabled={!house.data}>
          Delete
        </Act>
      </div>
      <Fault of={house.fault} className="basis-full text-amber" />
    </div>
  );
}

function Act({
  done,
  onAct,
  disabled,
  children,
}: {
  /** Said in the button's place once it is done. */
  done: string | null;
  onAct: () => void;
  disabled: boolean;
  children: React.ReactNode;
}) {
  if (done) return <span className="text-amber">{done}</span>;
  return (
    <button type="button" className="act border-amber text-amber" disabled={disabled} onClick={onAct}>
      {children}
    </button>
  );
}
