/** One thing of the shelf on a page of its own: added, changed, or merged with what somebody else made of it. */

import { useMemo, useState } from 'react';
import type { z } from 'zod';
import type { ShelfReply } from '../../contract';
import { AidSchema, BlankSchema, FabricSchema } from '../../core/materials';
import type { ShelfKind } from '../../core/sheet';
import { ParcelSchema, ProductSchema, TestedSchema } from '../../core/sheet';
import { useDocForm } from '../../ui/docForm';
import { Island, Pending, useRoute } from '../../ui/query';
import { goOnceKept, goTo } from '../shell/goTo';
import { AidEditor, type EditorProps } from './AidEditor';
import { BlankEditor } from './BlankEditor';
import { FabricEditor } from './FabricEditor';
import { Frame } from './Frame';
import { kindOf, type Things } from './kinds';
import { MergePanel } from './MergePanel';
import { newThing } from './newThing';
import { ParcelEditor } from './ParcelEditor';
import { ProductEditor } from './ProductEditor';
import { TestedEditor } from './TestedEditor';
import { useThing } from './useThing';

interface ShelfEditorProps {
  kind: ShelfKind;
  /** `new`, or the id of what is changed. */
  id: string;
  /** What a new thing starts from. */
  from: string | null;
}

export function ShelfEditor(props: ShelfEditorProps) {
  return (
    <Island>
      <Loading {...props} />
    </Island>
  );
}

function Loading(props: ShelfEditorProps) {
  const { data, error } = useRoute('shelf', {});
  // what is opened stays what it was, however often the shelf is fetched again
  const [opened, setOpened] = useState<ShelfReply | null>(null);
  if (data && !opened) setOpened(data);
  const shelf = opened ?? data;
  if (!shelf) return <Pending error={error} what="the shelf" />;
  const base =
    props.id === 'new'
      ? null
      : ((shelf[props.kind] as unknown as Things[ShelfKind][]).find((candidate) => candidate.id === props.id) ?? null);
  if (props.id !== 'new' && !base) {
    return (
      <p role="alert" className="m-6 border-l-4 border-brick pl-4">
        There is no such {kindOf(props.kind).one} on the shelf. <a href={`/shelf?kind=${props.kind}`}>Back to the shelf</a>
      </p>
    );
  }
  return <Editor kind={props.kind} base={base} shelf={shelf} from={props.from} />;
}

const EDITORS: { [K in ShelfKind]: (props: EditorProps<Things[K]>) => React.ReactNode } = {
  products: ProductEditor,
  fabrics: FabricEditor,
  blanks: BlankEditor,
  aids: AidEditor,
  tested: TestedEditor,
  parcels: ParcelEditor,
};

const SCHEMAS = {
  products: ProductSchema,
  fabrics: FabricSchema,
  blanks: BlankSchema,
  aids: AidSchema,
  tested: TestedSchema,
  parcels: ParcelSchema,
};

/** Trailing spaces and empty list entries of what was typed. */
const tidied = <T extends Things[ShelfKind]>(doc: T): T =>
  'sizes' in doc ? { ...doc, sizes: doc.sizes.map((size) => size.trim()).filter(Boolean) } : doc;

function Editor<K extends ShelfKind>({
  kind,
  base,
  shelf,
  from,
}: {
  kind: K;
  base: Things[K] | null;
  shelf: ShelfReply;
  from: string | null;
}) {
  const start = useMemo(() => base ?? newThing(kind, shelf, from), [base, kind, shelf, from]);
  const form = useDocForm(SCHEMAS[kind] as unknown as z.ZodType<Things[K]>, start, tidied);
  const thing = useThing(kind, base, base ? shelf.versions[base.id] : undefined);
  const shelfHref = `/shelf?kind=${kind}&on=${start.id}`;
  const Fields = EDITORS[kind] as (props: EditorProps<Things[K]>) => React.ReactNode;
  const { one } = kindOf(kind);
  return (
    <Frame
      heading={base ? base.name : `A new ${one}`}
      dirty={base === null || form.dirty}
      saving={thing.pending}
      fault={form.refusal ?? thing.fault}
      merge={
        thing.collision && (
          <MergePanel
            collision={thing.collision}
            onSave={(mine) => void form.submit((doc) => goOnceKept(thing.saveMerged(doc, mine), shelfHref))}
          />
        )
      }
      onSave={() => void form.submit((doc) => goOnceKept(thing.save(doc), shelfHref))}
      onBack={() => goTo(shelfHref)}
    >
      <Fields doc={form.doc} shelf={shelf} fields={{ ...thing.fields, ...form.fields }} onChange={form.patch} onReplace={form.replace} />
    </Frame>
  );
}
