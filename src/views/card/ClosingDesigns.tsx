/** The designs of one closing on its card: each with its lamp, and that all go by the settings of the weakest. */
import type { LineCard } from '../../contract';
import { closingOf, type Line } from '../../core/order';
import { Lamp } from '../../ui/Lamp';

interface ClosingDesignsProps {
  line: Line;
  current: string;
  cards: readonly LineCard[];
  hrefOf: (key: string) => string;
}

/** Nothing, where a print is pressed by itself. */
export function ClosingDesigns({ line, current, cards, hrefOf }: ClosingDesignsProps) {
  const designs = closingOf(line.prints, current);
  if (designs.length < 2) return null;
  return (
    <nav aria-label="In one closing" className="flex flex-wrap items-center gap-x-6 gap-y-1 border-b border-line px-5 py-2">
      <span className="font-semibold">In one closing, by the settings of the weakest:</span>
      {designs.map(({ key, artName }) => {
        const card = cards.find(({ lineId, printKey }) => lineId === line.id && printKey === key)?.card;
        return (
          <a
            key={key}
            href={hrefOf(key)}
            aria-current={key === current ? 'true' : undefined}
            className={`flex min-h-12 items-center gap-2 text-ink ${key === current ? 'font-bold no-underline' : ''}`}
          >
            {artName} {card && <Lamp state={card.lamp.state} size={18} />}
          </a>
        );
      })}
    </nav>
  );
}
