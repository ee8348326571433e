/** The Heat bench: a stack and a setting tried before a piece is spoiled, with the curves at the glue and what they come to. */
import { lazy, type ReactNode, Suspense, useState } from 'react';
import type { BenchStack } from '../../core/advice';
import type { StackLayer } from '../../core/heat';
import type { Print } from '../../core/order';
import { formatDuration, formatQuantity } from '../../core/units';
import { didUndoably } from '../../ui/acts';
import { Fault } from '../../ui/Fault';
import { useUnits } from '../../ui/house';
import { useRoute } from '../../ui/query';
import { Tabs } from '../../ui/TabBar';
import { HeatChart } from './HeatChart';
import { Indices } from './Indices';
import { Loss } from './Loss';
import { Settings } from './Settings';
import { StackEditor } from './StackEditor';
import { useReckoned } from './useReckoned';
import { Variants } from './Variants';
import { isCovered, limitsOf, type Variant, variantOf, withPassage } from './variant';

// each is fetched when it is first shown
const FirstPieces = lazy(() => import('./FirstPieces').then((m) => ({ default: m.FirstPieces })));
const SweepPanel = lazy(() => import('./SweepPanel').then((m) => ({ default: m.SweepPanel })));

const VIEWS = [
  { id: 'curves', name: 'Over time' },
  { id: 'map', name: 'Map of two inputs' },
  { id: 'first', name: 'First pieces of a day' },
] as const;
type View = (typeof VIEWS)[number]['id'];

/** The order’s print the stack is from, and how a setting goes back to it. */
interface Back {
  href: string;
  send: (choices: Print['choices']) => Promise<void>;
  fault: unknown;
}

export function Bench({ stack, title, back, pick }: { stack: BenchStack; title: string; back?: Back; pick?: ReactNode }) {
  const house = useUnits();
  const shelf = useRoute('shelf', {});
  const [variants, setVariants] = useState<Variant[]>([variantOf(stack)]);
  const [current, setCurrent] = useState(0);
  const [view, setView] = useState<View>('curves');
  const { answers, fault, busy } = useReckoned(variants, current, stack);
  const variant = variants[current] ?? variants[0];
  if (!variant) return null;
  /** Puts a change on the bench, and its undo on the rail. */
  const change = (next: Variant, what: string) => {
    const before = variants;
    setVariants(variants.map((variant, i) => (i === current ? next : variant)));
    didUndoably({ what, undo: async () => setVariants(before) });
  };
  const fabrics: StackLayer[] = (shelf.data?.fabrics ?? [])
    .filter((fabric) => !fabric.retiredOn)
    .map((fabric) => ({ role: 'fabric', name: fabric.name, ...fabric.thermal, thicknessMm: fabric.thicknessMm }));
  const shown = answers?.columns[current] ?? answers?.columns[0];
  return (
    <div className="px-5 pt-3">
      <div className="flex flex-wrap items-end justify-between gap-x-6 gap-y-2">
        <div className="min-w-0">
          <h1>Heat bench</h1>
          <p className="text-soft">
            <span className="font-semibold text-ink">{stack.blankName}</span> · {stack.productName} · {stack.press.name} ·{' '}
            {back ? (
              <a className="underline" href={back.href}>
                {title}
              </a>
            ) : (
              title
            )}
          </p>
        </div>
        <div className="flex items-center gap-2">
          <a className="act act-quiet underline" href="/heat-bench?practice=1">
            Practice
          </a>
          {back && <SendBack back={back} stack={stack} variant={variant} />}
        </div>
      </div>
      {pick}
      <Fault of={back?.fault} />
      <div className="grid grid-cols-[17.5rem_minmax(0,1fr)] gap-7 pt-3 min-[75rem]:grid-cols-[19rem_minmax(0,1fr)] narrow:block">
        <div>
          <Variants {...{ variants, current, setVariants, setCurrent }} />
          <StackEditor variant={variant} fabrics={fabrics} onChange={change} />
          <Settings variant={variant} stack={stack} house={house} onChange={change} />
        </div>
        <div className="min-w-0">
          {fault && (
            <p role="alert" className="mb-2 border-l-4 border-brick pl-3 text-brick">
              {fault}
            </p>
          )}
          {answers && shown && (
            <Loss
              answers={answers}
              variant={variant}
              stack={stack}
              house={house}
              current={current}
              onTake={(timeS) => change(withPassage(variant, { timeS }), `${formatDuration(timeS)} taken`)}
            />
          )}
          <Tabs
            label="What is shown"
            tabs={VIEWS}
            selected={view}
            onSelect={setView}
            aside={<span className="label ml-auto">{busy ? 'calculating …' : 'estimates: only a test piece tells'}</span>}
          >
            <Suspense fallback={<p className="label p-4">Fetching …</p>}>
              {view === 'map' ? (
                <SweepPanel variant={variant} stack={stack} house={house} />
              ) : view === 'first' ? (
                <FirstPieces variant={variant} house={house} />
              ) : answers && shown ? (
                <>
                  <HeatChart
                    seen={shown.seen}
                    others={answers.columns.filter((column) => column !== shown)}
                    limits={limitsOf(variant.query)}
                    house={house}
                  />
                  <Indices columns={answers.columns} house={house} />
                </>
              ) : (
                !fault && <p className="label p-4">Calculating …</p>
              )}
            </Suspense>
          </Tabs>
        </div>
      </div>
    </div>
  );
}

/** The setting goes back to the card it came from: only what a card can be told. */
function SendBack({ back, stack, variant }: { back: Back; stack: BenchStack; variant: Variant }) {
  const { passage } = variant.query;
  const choices: Print['choices'] = {
    ...(Math.abs(passage.timeS - stack.set.timeS) > 0.05 && { timeS: Math.round(passage.timeS * 10) / 10 }),
    ...(Math.abs(variant.setC - stack.set.tempC) > 0.05 && { setC: variant.setC }),
    ...(stack.cover.asked === 'allowed' && isCovered(variant) !== stack.cover.on && { cover: isCovered(variant) }),
  };
  const words = [
    choices.cover === undefined ? null : choices.cover ? 'the cover' : 'no cover',
    choices.timeS === undefined ? null : formatDuration(choices.timeS),
    choices.setC === undefined ? null : formatQuantity(choices.setC, stack.press.unit),
  ].filter((word) => word !== null);
  return (
    <button type="button" className="act act-main" disabled={words.length === 0} onClick={() => void back.send(choices)}>
      {words.length === 0 ? 'As on the card' : `Take ${words.join(' and ')} to the card`}
    </button>
  );
}
