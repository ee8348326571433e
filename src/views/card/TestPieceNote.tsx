/** A test piece pressed and held against the light: noted on its blank, with the day and how it was judged. */
import { useState } from 'react';
import { call } from '../../contract';
import { blankAfterTest, type Change } from '../../core/advice';
import { isoDay } from '../../ui/days';
import { TextField } from '../../ui/Field';
import { errorWords, Pending, refresh, useRoute } from '../../ui/query';

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
  const [fault, setFault] = useState<string | null>(null);
  const blank = shelf.data?.blanks.find((one) => one.id === blankId);
  const fabric = shelf.data?.fabrics.find((one) => one.id === blank?.fabricId);
  if (!shelf.data || !blank || !fabric) return <Pending error={shelf.error} what="the blank" />;
  const note = async (event: { preventDefault: () => void }) => {
    event.preventDefault();
    if (how.trim() === '') return setFault('Say how it was tested: what you pressed, what you looked for.');
    try {
      const ifMatch = shelf.data.versions[blankId];
      await call('putBlank', {
        params: { id: blankId },
        body: blankAfterTest(blank, fabric, test, on, how),
        ...(ifMatch !== undefined && { ifMatch }),
      });
      await refresh('shelf', 'orderCards', 'order', 'bench');
      onNoted();
    } catch (error) {
      setFault(errorWords(error));
    }
  };
  return (
    <form onSubmit={(event) => void note(event)} className="border-l-4 border-teal bg-sheet px-4 py-3">
      <p className="max-w-[70ch] pb-2">
        Press one {blank.name} at this card’s setting, let it cool, and look at the bare face and pull at the print. Note it only if it
        held: every later card for this blank relies on it.
      </p>
      <div className="grid grid-cols-[12rem_1fr] gap-x-5">
        <TextField label="Tested on" type="date" value={on} onChange={setOn} />
        <TextField label="How" value={how} onChange={setHow} problem={fault ?? undefined} hint="What was pressed, what was looked for" />
      </div>
      <button type="submit" className="act act-main mr-3">
        It held: note it on the blank
      </button>
      <button type="button" className="act act-quiet" onClick={onCancel}>
        Not yet
      </button>
    </form>
  );
}
