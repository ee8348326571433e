/** What is typed and what answers it, in groups; arrows and Enter, or a touch. */
import { useRef, useState } from 'react';
import { Autocomplete, Header, Input, ListBox, ListBoxItem, ListBoxSection, SearchField, Text } from 'react-aria-components';
import type { Reply } from '../../contract';
import { GROUPS } from '../../core/find';
import { instantText, isoDayText } from '../../ui/days';
import { errorWords, useRoute } from '../../ui/query';
import { goTo } from './goTo';

type Groups = Reply<'find'>['groups'];
type Entry = Groups[number]['entries'][number];

export function FindPanel({ onDone }: { onDone: () => void }) {
  const [typed, setTyped] = useState('');
  const q = typed.trim().slice(0, 100);
  const { data, error } = useRoute('find', { query: { q } });
  // the answer before stays until the next is there
  const shown = useRef<Groups>([]);
  if (data) shown.current = data.groups;
  const groups = shown.current;
  const go = (href: string) => {
    onDone();
    goTo(href);
  };
  const all = groups.flatMap(({ entries }) => entries);
  return (
    <Autocomplete inputValue={typed} onInputChange={setTyped}>
      <SearchField aria-label="Find" autoFocus className="flex items-center gap-2 border-b border-line p-3">
        <Input className="entry text-lg" placeholder="an order, a person, a transfer, a press, or what you want to do" />
        <button type="button" className="act act-quiet" onClick={onDone}>
          Close
        </button>
      </SearchField>
      <div className="max-h-[calc(84vh-5rem)] overflow-auto narrow:max-h-[calc(100dvh-7rem)]">
        {error && (
          <p role="alert" className="p-4 text-brick">
            {errorWords(error)}
          </p>
        )}
        <ListBox
          aria-label="Found"
          items={groups.map((group) => ({ id: group.group, ...group }))}
          onAction={(key) => {
            const entry = all.find(({ id }) => id === key);
            if (entry) go(entry.href);
          }}
          renderEmptyState={() => <Nothing typed={typed} isAsked={data !== undefined} />}
          className="pb-2 outline-none"
        >
          {({ group, entries, more }) => (
            <ListBoxSection id={group}>
              <Header className="label flex justify-between px-4 pt-3 pb-1">
                {q === '' ? 'To do, for example' : GROUPS[group]}
                {more && <span>the best of them</span>}
              </Header>
              {entries.map((entry) => (
                <Found key={entry.id} entry={entry} />
              ))}
            </ListBoxSection>
          )}
        </ListBox>
        {q !== '' && groups.some(({ group, more }) => group === 'pieces' && more) && (
          <button type="button" className="act act-quiet mb-2" onClick={() => go(`/log?${new URLSearchParams({ q })}`)}>
            All pieces with these words
          </button>
        )}
      </div>
    </Autocomplete>
  );
}

function Found({ entry }: { entry: Entry }) {
  const when = entry.day ? `due ${isoDayText(entry.day)}` : entry.at ? instantText(entry.at) : '';
  return (
    <ListBoxItem
      id={entry.id}
      textValue={entry.title}
      className="flex min-h-11 cursor-default items-baseline gap-x-3 border-l-4 border-transparent px-3 py-1.5 leading-tight outline-none data-[focused]:border-teal data-[focused]:bg-sheet narrow:block"
    >
      <Text slot="label" className="font-semibold">
        {entry.title}
      </Text>
      <Text slot="description" className="label min-w-0 flex-1 narrow:block">
        {[entry.detail, when].filter(Boolean).join(' · ')}
      </Text>
    </ListBoxItem>
  );
}

function Nothing({ typed, isAsked }: { typed: string; isAsked: boolean }) {
  if (!isAsked || typed.trim() === '') return <p className="label p-4">One moment …</p>;
  return (
    <p className="p-4">
      Nothing has all of these words. <span className="label">Fewer letters of each are enough: “gui te” finds Guide tees.</span>
    </p>
  );
}
