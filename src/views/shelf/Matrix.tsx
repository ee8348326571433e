/** Own transfers on own fabrics: what each is set to on a press and its lamp, to look at and to hang up. */
import { useState } from 'react';
import { API, type Reply } from '../../contract';
import { formatDuration, formatQuantity, oddsWords } from '../../core/units';
import { type Column, DataTable } from '../../ui/DataTable';
import { ChoiceField } from '../../ui/Field';
import { LampMark } from '../../ui/Lamp';
import { Island, Pending, useRoute } from '../../ui/query';
import { Says } from '../../ui/Says';
import { Teach } from '../../ui/Teach';

type Matrix = Reply<'testedMatrix'>;
type Cell = Matrix['rows'][number]['cells'][number];

export function MatrixPage({ initialPress }: { initialPress: string | null }) {
  return (
    <Island>
      <Page initialPress={initialPress} />
    </Island>
  );
}

function Page({ initialPress }: { initialPress: string | null }) {
  const presses = useRoute('presses', {});
  const [chosen, setChosen] = useState(initialPress);
  if (!presses.data) return <Pending error={presses.error} what="the presses" />;
  const all = presses.data.presses.map((press) => press.press).filter((press) => !press.retiredOn);
  const press = all.find(({ id }) => id === chosen) ?? all.find(({ kind }) => kind !== 'cap') ?? all[0];
  if (!press)
    return (
      <div className="px-5 pt-4">
        <h1 className="pb-3">Transfers on fabrics</h1>
        <Teach
          drawing="swing-away"
          act={
            <a className="act act-main" href="/presses?new=1">
              Add a press
            </a>
          }
        >
          There is no press yet. With one, every transfer stands here with what it is set to on every fabric.
        </Teach>
      </div>
    );
  return (
    <div className="px-5 pt-4">
      <div className="flex flex-wrap items-end gap-x-5">
        <h1 className="pb-7">Transfers on fabrics</h1>
        <div className="w-56">
          <ChoiceField
            label="On press"
            value={press.id}
            options={all.map(({ id, name }) => ({ value: id, text: name }))}
            onChange={setChosen}
          />
        </div>
        <span className="flex-1" />
        <a className="act act-quiet mb-6" href="/shelf/tested/new">
          Keep a tested setting
        </a>
        <a className="act mb-6" href={`${API}/tested-matrix.pdf?press=${encodeURIComponent(press.id)}`}>
          On paper, A4
        </a>
        <a className="act act-quiet mb-6" href={`${API}/tested-matrix.pdf?press=${encodeURIComponent(press.id)}&paper=Letter`}>
          Letter
        </a>
      </div>
      <Fields key={press.id} pressId={press.id} />
    </div>
  );
}

function Fields({ pressId }: { pressId: string }) {
  const { data, error } = useRoute('testedMatrix', { query: { press: pressId } });
  const [on, setOn] = useState<{ row: number; column: number } | null>(null);
  if (!data) return <Pending error={error} what="every transfer on every fabric" />;
  if (data.fabrics.length === 0 || data.rows.length === 0)
    return (
      <p className="max-w-prose">
        A fabric stands here once a blank is made of it, a transfer once it is on the <a href="/shelf">shelf</a>.
      </p>
    );
  const row = on && data.rows[on.row];
  const cell = row && on && row.cells[on.column];
  const fabric = on && data.fabrics[on.column];
  return (
    <>
      <p className="min-h-14 max-w-[110ch] pb-2" aria-live="polite">
        {cell && row && fabric ? (
          <>
            <strong>
              {row.name} on {fabric.name}
            </strong>
            : {formatQuantity(cell.setC, data.press.unit)}, {formatDuration(cell.timeS)},{' '}
            {cell.peel === 'none' ? 'nothing to peel' : `peeled ${cell.peel}`}.{' '}
            {cell.lamp !== 'hold' && `${oddsWords(cell.soundChance)} sound. `}
            {cell.shade && `On ${cell.shade} pieces only. `}
            {cell.testedOn && `It starts from a test of ${cell.testedOn}. `}
            {cell.why && <Says words={cell.why} />}
          </>
        ) : (
          <span className="label">
            Every field is a card of its own: usual art, one piece, as the shop stands today. Choose one to read why.
            {!data.press.measured && ` ${data.press.name} was never measured, so none is better than Care.`}
          </span>
        )}
      </p>
      <div className="isolate max-h-[calc(100vh-17rem)] overflow-auto">
        <DataTable
          look="border-separate border-spacing-0 text-left text-sm"
          headLook=""
          rowLook={() => ''}
          columns={[
            {
              head: 'Transfer',
              namesRow: true,
              look: 'sticky left-0 bg-paper',
              headLook: 'top-0 z-20 px-2 font-bold',
              cellLook: 'rule-bottom z-10 pr-3 pl-2 align-middle font-bold whitespace-nowrap',
              cell: ({ name }) => name,
            },
            ...data.fabrics.map(
              (fabric, c): Column<Matrix['rows'][number]> => ({
                id: fabric.id,
                headLook: 'sticky top-0 z-10 w-28 bg-paper px-1 font-bold leading-tight',
                cellLook: 'rule-bottom p-0',
                head: (
                  <>
                    {fabric.name}
                    <span className="label block font-normal">{fabric.blankName}</span>
                  </>
                ),
                cell: ({ name, cells }, r) => {
                  const cell = cells[c];
                  return (
                    cell && (
                      <Field
                        cell={cell}
                        unit={data.press.unit}
                        label={`${name} on ${fabric.name}`}
                        on={on?.row === r && on.column === c}
                        onChoose={() => setOn({ row: r, column: c })}
                      />
                    )
                  );
                },
              }),
            ),
          ]}
          rows={data.rows}
          idOf={({ productId }) => productId}
        />
      </div>
    </>
  );
}

interface FieldProps {
  cell: Cell;
  unit: 'C' | 'F';
  label: string;
  on: boolean;
  onChoose: () => void;
}

const WORDS = { clear: 'Clear', care: 'Care', hold: 'Hold' } as const;

function Field({ cell, unit, label, on, onChoose }: FieldProps) {
  const isHold = cell.lamp === 'hold';
  return (
    <button
      type="button"
      aria-pressed={on}
      onClick={onChoose}
      className={`flex min-h-12 w-28 items-center gap-1.5 px-1 text-left ${on ? 'outline-2 -outline-offset-2 outline-teal' : ''}`}
    >
      <span className="sr-only">
        {label}: {WORDS[cell.lamp]}
        {isHold ? (cell.testedOn ? ', tested' : '') : ', '}
      </span>
      <span className={isHold ? 'opacity-40' : ''}>
        <LampMark state={cell.lamp} size={isHold ? 12 : 15} />
      </span>
      {!isHold && (
        <span className={`figure leading-tight ${cell.testedOn ? 'font-bold' : ''}`}>
          {formatQuantity(cell.setC, unit)}
          <span className="sr-only">, </span>
          <span className="block font-sans text-xs text-soft tracking-normal [word-spacing:normal]">
            {formatDuration(cell.timeS)}
            {cell.testedOn ? ', tested' : ''}
          </span>
        </span>
      )}
    </button>
  );
}
