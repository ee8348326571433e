/** The lines of an order down the side: count, piece, how far, lamp. */
import type { ReactNode } from 'react';
import { finishedPieces, lineLamp } from '../../core/log';
import { sidedWords } from '../../core/materials';
import { Lamp } from '../../ui/Lamp';
import { PieceMark } from '../../ui/PieceMark';
import type { OrderState } from './useOrder';

interface LineListProps {
  state: OrderState;
  blankName: (blankId: string) => string;
  current: string | null;
  hrefOf: (lineId: string) => string;
  children?: ReactNode;
}

export function LineList({ state, blankName, current, hrefOf, children }: LineListProps) {
  return (
    <nav aria-label="Lines" className="border-r border-line narrow:border-r-0 narrow:border-b">
      <div className="sticky top-0 max-h-[calc(100vh-3.5rem)] overflow-auto pt-3 narrow:static narrow:max-h-none narrow:pt-0">
        <ul className="narrow:flex narrow:overflow-x-auto">
          {state.order.lines.map((line) => {
            const progress = state.lines.find((progress) => progress.lineId === line.id);
            const on = line.id === current;
            return (
              <li key={line.id} className="rule-bottom narrow:w-[72vw] narrow:shrink-0 narrow:only:w-full">
                <a
                  href={hrefOf(line.id)}
                  aria-current={on ? 'true' : undefined}
                  className={`block border-l-4 px-4 py-3 leading-tight text-ink no-underline ${on ? 'border-teal bg-sheet' : 'border-transparent hover:bg-sheet'}`}
                >
                  <span className="flex items-center gap-2.5">
                    <PieceMark orderId={state.order.id} lineId={line.id} version={state.version} />
                    <span className="min-w-0">
                      <span className="block font-semibold">
                        <span className="figure">{line.count}</span> {blankName(line.blankId)} {line.size}
                      </span>
                      <span className="label block">
                        {line.prints.map((print) => `${print.artName}, ${sidedWords(print)}`).join(' · ')}
                      </span>
                    </span>
                  </span>
                  <span className="mt-1 flex items-center justify-between gap-2">
                    {progress && <Lamp {...lineLamp(progress)} size={18} />}
                    <span className="label figure">
                      {progress ? finishedPieces(progress) : 0}/{line.count}
                    </span>
                  </span>
                </a>
              </li>
            );
          })}
        </ul>
        {children}
      </div>
    </nav>
  );
}
