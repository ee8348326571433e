/** The prints of a piece in the order they are pressed, where there is more than one. */

import type { Line } from '../../core/order';
import { printName } from './printName';

export function PrintTabs({ line, current, hrefOf }: { line: Line; current: string; hrefOf: (key: string) => string }) {
  if (line.prints.length < 2) return null;
  return line.prints.map((print, i) => (
    <a
      key={print.key}
      href={hrefOf(print.key)}
      aria-current={print.key === current ? 'true' : undefined}
      className={`flex min-h-12 items-center border-b-4 px-2 text-ink no-underline ${print.key === current ? 'border-teal font-bold' : 'border-transparent'}`}
    >
      {i + 1}. {printName(print, line.prints)}
    </a>
  ));
}
