/** Pressings as a long list, newest first: only the rows in sight are drawn, and older ones are fetched as they come near. */
import { useWindowVirtualizer } from '@tanstack/react-virtual';
import { useEffect, useLayoutEffect, useRef, useState } from 'react';
import type { Logged } from '../../contract';
import { formatDuration, formatForHouse } from '../../core/units';
import { instantText } from '../../ui/days';
import { useUnits } from '../../ui/house';
import { Outcome } from './PressingTable';

const ROW = 70;
/** Rows left below the sight when older ones are fetched. */
const NEAR = 40;
const HEADS = [
  ['When', 'w-36'],
  ['Order', ''],
  ['Piece', 'w-64'],
  ['Transfer, press', 'w-52'],
  ['Set', 'w-20 text-right'],
  ['Pressed', 'w-28 text-right'],
  ['Came out', 'w-36'],
] as const;

interface PressingListProps {
  pressings: Logged[];
  more: boolean;
  onMore: () => void;
}

export function PressingList({ pressings, more, onMore }: PressingListProps) {
  const list = useRef<HTMLTableElement>(null);
  const [top, setTop] = useState(0);
  useLayoutEffect(() => setTop(list.current?.offsetTop ?? 0), []);
  const rows = useWindowVirtualizer({ count: pressings.length, estimateSize: () => ROW, overscan: 12, scrollMargin: top });
  const items = rows.getVirtualItems();
  const first = items[0];
  const last = items.at(-1);
  useEffect(() => {
    if (more && (last?.index ?? 0) > pressings.length - NEAR) onMore();
  }, [more, last?.index, pressings.length, onMore]);
  return (
    <table ref={list} aria-rowcount={pressings.length + 1} className="w-full table-fixed border-collapse text-left text-[0.95rem]">
      <thead>
        <tr className="label">
          {HEADS.map(([head, width]) => (
            <th key={head} className={`pr-4 pb-1 font-normal ${width}`}>
              {head}
            </th>
          ))}
        </tr>
      </thead>
      <tbody>
        {first && <Gap height={first.start - top} />}
        {items.map(({ index, key }) => {
          const pressing = pressings[index];
          return pressing && <Row key={key} pressing={pressing} index={index} />;
        })}
        {last && <Gap height={rows.getTotalSize() - (last.end - top)} />}
      </tbody>
    </table>
  );
}

/** Room of the rows that are not drawn. */
const Gap = ({ height }: { height: number }) => (height > 0 ? <tr style={{ height }} /> : null);

function Row({ pressing: p, index }: { pressing: Logged; index: number }) {
  const house = useUnits();
  const cell = 'pr-4 pt-1.5 align-top leading-tight';
  return (
    <tr aria-rowindex={index + 2} style={{ height: ROW }} className={`rule-top ${p.withdrawn ? 'text-soft line-through' : ''}`}>
      <td className={`${cell} figure`}>
        <a href={`/log/${p.id}`} className="inline-flex min-h-12 items-start">
          {instantText(p.endedAt)}
          <span className="sr-only"> open the record</span>
        </a>
      </td>
      <td className={cell}>
        <span className="line-clamp-2">{p.orderName}</span>
      </td>
      <td className={cell}>
        <span className="block truncate">
          {p.blankName} {p.size} <span className="label figure">no. {p.piece}</span>
          {p.person && <strong> {[p.person.number, p.person.name].filter(Boolean).join(' ')}</strong>}
        </span>
        <span className="label block truncate">
          {p.artName}, {p.position}
        </span>
      </td>
      <td className={cell}>
        <span className="block truncate">{p.layerNames.join(', ')}</span>
        <span className="label block truncate">{p.pressName}</span>
      </td>
      <td className={`${cell} figure text-right`}>
        {formatForHouse('temperature', p.setC, house)}
        <span className="label block">{formatDuration(p.timeS)}</span>
      </td>
      <td className={`${cell} figure text-right`}>{p.pressedS === null ? 'not pressed' : `${p.pressedS.toFixed(1)} s`}</td>
      <td className={cell}>
        <Outcome pressing={p} />
      </td>
    </tr>
  );
}
