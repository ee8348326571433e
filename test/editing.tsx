/** A form on a page of its own, for tests of the fields it is typed into: a document, its schema, its editor, and a button to hand it in. */
import { render, screen } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { vi } from 'vitest';
import type { z } from 'zod';
import type { ShelfReply } from '../src/contract';
import { STARTING_HOUSE } from '../src/core/house';
import { BUILT_IN_FABRICS } from '../src/core/materials';
import { useDocForm } from '../src/ui/docForm';
import { Island } from '../src/ui/query';
import type { EditorProps } from '../src/views/shelf/AidEditor';

/** The house as a fresh shop has it, and nothing else: an editor asks for no more. */
function answerWithHouse(): void {
  const house = JSON.stringify({ house: STARTING_HOUSE, version: 1 });
  vi.stubGlobal('fetch', async (address: string | URL) =>
    String(address).endsWith('/house')
      ? new Response(house, { headers: { 'content-type': 'application/json' } })
      : new Response('{"type":"about:blank","title":"Not here","status":404,"detail":"Not here."}', {
          status: 404,
          headers: { 'content-type': 'application/problem+json' },
        }),
  );
}

interface EditedProps<T> {
  Editor: (props: EditorProps<T>) => React.ReactNode;
  schema: z.ZodType<T>;
  start: T;
  shelf: ShelfReply;
  onTaken: (doc: T) => void;
}

function Edited<T extends object>({ Editor, schema, start, shelf, onTaken }: EditedProps<T>) {
  const form = useDocForm<T>(schema, start);
  return (
    <form onSubmit={form.handle(onTaken)} noValidate>
      <Editor doc={form.doc} shelf={shelf} fields={form.fields} onChange={form.patch} onReplace={form.replace} />
      <button type="submit">Save</button>
    </form>
  );
}

const SHELF = { fabrics: BUILT_IN_FABRICS, blanks: [], products: [], aids: [], tested: [], versions: {}, unreadable: [] };

/** Puts an editor on the page. @returns a user at it, and what was taken, last of all; null: nothing yet */
export function edit<T extends object>(Editor: EditedProps<T>['Editor'], schema: z.ZodType<T>, start: T) {
  answerWithHouse();
  const taken: T[] = [];
  render(
    <Island>
      <Edited Editor={Editor} schema={schema} start={start} shelf={SHELF as unknown as ShelfReply} onTaken={(doc) => taken.push(doc)} />
    </Island>,
  );
  const user = userEvent.setup();
  return { user, taken: () => taken.at(-1) ?? null, save: () => user.click(screen.getByRole('button', { name: 'Save' })) };
}
