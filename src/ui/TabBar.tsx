/** Tabs: one of a few panels is shown; arrow keys go from one tab to the next. */
import { type ReactNode, useRef } from 'react';
import { useTab, useTabList, useTabPanel } from 'react-aria/useTabList';
import { Item } from 'react-stately/Item';
import { type TabListState, useTabListState } from 'react-stately/useTabListState';

interface TabsProps<Id extends string> {
  label: string;
  tabs: readonly { id: Id; name: ReactNode }[];
  selected: Id;
  onSelect: (id: Id) => void;
  /** What stands at the end of the bar. */
  aside?: ReactNode;
  /** One tab alone is not shown. */
  hidesOne?: boolean;
  className?: string;
  /** The panel of the tab that is selected. */
  children: ReactNode;
}

interface Tabbed {
  id: string;
  name: ReactNode;
}

export function Tabs<Id extends string>({
  label,
  tabs,
  selected,
  onSelect,
  aside,
  hidesOne = false,
  className = '',
  children,
}: TabsProps<Id>) {
  const list = useRef<HTMLDivElement>(null);
  const panel = useRef<HTMLDivElement>(null);
  const items = tabs as readonly Tabbed[];
  const asked = {
    'aria-label': label,
    items,
    selectedKey: selected as string,
    onSelectionChange: (key: string | number) => onSelect(key as Id),
    children: ({ name }: Tabbed) => <Item>{name}</Item>,
  };
  const state = useTabListState<Tabbed>(asked);
  const { tabListProps } = useTabList<Tabbed>(asked, state, list);
  const { tabPanelProps } = useTabPanel({}, state, panel);
  return (
    <>
      <div className={`flex flex-wrap items-center gap-1 ${className}`}>
        <div {...tabListProps} ref={list} className={hidesOne && tabs.length < 2 ? 'hidden' : 'flex flex-wrap gap-1'}>
          {[...state.collection].map(({ key, rendered }) => (
            <OneTab key={key} id={String(key)} state={state}>
              {rendered}
            </OneTab>
          ))}
        </div>
        {aside}
      </div>
      <div {...tabPanelProps} ref={panel} className="contents">
        {children}
      </div>
    </>
  );
}

function OneTab({ id, state, children }: { id: string; state: TabListState<Tabbed>; children: ReactNode }) {
  const tab = useRef<HTMLDivElement>(null);
  const { tabProps, isSelected } = useTab({ key: id }, state, tab);
  return (
    <div
      {...tabProps}
      ref={tab}
      className={`flex min-h-12 cursor-pointer items-center border-b-4 px-3 ${isSelected ? 'border-teal font-bold' : 'border-transparent'}`}
    >
      {children}
    </div>
  );
}
