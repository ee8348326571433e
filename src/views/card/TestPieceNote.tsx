/** A test piece pressed and held against the light: noted on its blank, with the day and how it was judged. */
import { useState } from 'react';
import { blankAfterTest, type Change } from '../../core/advice';
import type { Blank } from '../../core/materials';
import { isoDay } from '../../ui/days';
import { TextField } from '../../ui/Field';
import { errorWords, Pending, useRoute } from '../../ui/query';
import { useWrite, write } from '../../ui/write';

interface TestPieceNoteProps {
  blankId: string;
  test: NonNullable<Change['testPiece']>;
  onNoted: () => void;
  onCancel: () => void;
}

export function TestPieceNote({ blankId, test, onNoted, onCancel }: TestPieceNoteProps) {
  const shelf = useRoute('shelf', {});
  const [on, setOn] = useState(() => isoDay(new Date()));
  const [how, setHow] = useState('');
  const [isBare, setIsBare] = useState(false);
  const { save, pending, fault } = useWrite((body: Blank) => {
    const ifMatch = shelf.data?.versions[blankId];
    return write('putBlank', { params: { id: blankId }, body, ...(ifMatch !== undefined && { ifMatch }) });
  });
  const blank = shelf.data?.blanks.find((one) => one.id === blankId);
  const fabric = shelf.data?.fabrics.find((one) => one.id === blank?.fabricId);
  if (!shelf.data || !blank || !fabric) return <Pending error={shelf.error} what="the blank" />;
  const note = async (event: { preventDefault: () => void }) => {
    event.preventDefault();
    setIsBare(how.trim() === '');
    if (how.trim() !== '' && (await save(blankAfterTest(blank, fabric, test, on, how)))) onNoted();
  };
  const problem = isBare ? 'Say how it was tested: what you pressed, what you looked for.' : fault ? errorWords(fault) : undefined;
  return (
    <form onSubmit={(event) => void note(event)} className="border-l-4 border-teal bg-sheet px-4 py-3">
      <p className="max-w-[70ch] pb-2">
        Press one {blank.name} at this card’s setting, let it cool, and look at the bare face and pull at the print. Note it only if it
        held: every later card for this blank relies on it.
      </p>
      <div className="grid grid-cols-[12rem_1fr] gap-x-5">
        <TextField label="Tested on" type="date" value={on} onChange={setOn} />
        <TextField label="How" value={how} onChange={setHow} problem={problem} hint="What was pressed, what was looked for" />
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
