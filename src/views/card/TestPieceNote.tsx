/** A test piece pressed and held against the light: noted on its blank, with the day and how it was judged. */
import { z } from 'zod';
import { blankAfterTest, type Change } from '../../core/advice';
import type { Blank } from '../../core/materials';
import { isoDay } from '../../ui/days';
import { useDocForm } from '../../ui/docForm';
import { TextField } from '../../ui/Field';
import { errorWords, Pending, useRoute } from '../../ui/query';
import { useWrite, write } from '../../ui/write';

interface TestPieceNoteProps {
  blankId: string;
  test: NonNullable<Change['testPiece']>;
  onNoted: () => void;
  onCancel: () => void;
}

const NoteSchema = z.object({
  on: z.iso.date('Say on which day it was tested.'),
  how: z.string().trim().min(1, 'Say how it was tested: what you pressed, what you looked for.'),
});

export function TestPieceNote({ blankId, test, onNoted, onCancel }: TestPieceNoteProps) {
  const shelf = useRoute('shelf', {});
  const form = useDocForm(NoteSchema, { on: isoDay(new Date()), how: '' });
  const { save, pending, fault } = useWrite((body: Blank) => {
    const ifMatch = shelf.data?.versions[blankId];
    return write('putBlank', { params: { id: blankId }, body, ...(ifMatch !== undefined && { ifMatch }) });
  });
  const blank = shelf.data?.blanks.find((blank) => blank.id === blankId);
  const fabric = shelf.data?.fabrics.find((fabric) => fabric.id === blank?.fabricId);
  if (!shelf.data || !blank || !fabric) return <Pending error={shelf.error} what="the blank" />;
  const note = form.handle(async ({ on, how }) => {
    if (await save(blankAfterTest(blank, fabric, test, on, how))) onNoted();
  });
  return (
    <form onSubmit={note} className="border-l-4 border-teal bg-sheet px-4 py-3">
      <p className="max-w-[70ch] pb-2">
        Press one {blank.name} at this card’s setting, let it cool, and look at the bare face and pull at the print. Note it only if it
        held: every later card for this blank relies on it.
      </p>
      <div className="grid grid-cols-[12rem_1fr] gap-x-5 narrow:block">
        <TextField label="Tested on" type="date" value={form.doc.on} onChange={(on) => form.patch({ on })} problem={form.fields.on} />
        <TextField
          label="How"
          value={form.doc.how}
          onChange={(how) => form.patch({ how })}
          problem={form.fields.how ?? (fault ? errorWords(fault) : undefined)}
          hint="What was pressed, what was looked for"
        />
      </div>
      <button type="submit" className="act act-main mr-3" disabled={pending}>
        It held: note it on the blank
      </button>
      <button type="button" className="act act-quiet" onClick={onCancel}>
        Not yet
      </button>
    </form>
  );
}
