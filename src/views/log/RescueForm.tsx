/** A spoiled print taken off again: how long it took and with what, so that the blank goes back to stock. */
import type { Reply } from '../../contract';
import { canBeRescued, type Rescue, RescueSchema, rescueOf } from '../../core/log';
import { useDocForm } from '../../ui/docForm';
import { Fault } from '../../ui/Fault';
import { TextField } from '../../ui/Field';
import { NumberField } from '../../ui/NumberField';
import { newId } from '../../ui/newId';
import { useOperator } from '../../ui/operator';
import { useWrite, write } from '../../ui/write';

type Pressing = Reply<'pressing'>['pressing'];

export function RescueForm({ pressing }: { pressing: Pressing }) {
  const done = rescueOf(pressing.amendments);
  const form = useDocForm(RescueSchema, done ?? { minutes: 10, by: '' });
  const { doc, fields } = form;
  const [initials] = useOperator();
  const { save, pending, fault } = useWrite((rescue: Rescue) =>
    write('putRescued', { params: { id: pressing.id, amendmentId: newId() }, body: { ...rescue, initials } }),
  );
  if (!canBeRescued(pressing)) return null;
  return (
    <details className="rule-top mt-3 pt-2" open={done !== null}>
      <summary className="min-h-11 cursor-pointer py-2.5 font-semibold text-teal">
        {done
          ? `Print taken off in ${done.minutes} min with ${done.by}; the blank is back in stock`
          : 'Take the print off again, and keep the blank'}
      </summary>
      <p className="max-w-3xl border-l-4 border-amber bg-sheet py-2 pl-3">
        Once it is cold, and well away from the hot press: solvent vapour burns. Open the windows, wear gloves, and go by the solvent’s own
        safety sheet. Try it first where it does not show; alcohol cracks acrylic.
      </p>
      <form
        aria-label="Print taken off"
        onSubmit={form.handle(save)}
        className="grid max-w-3xl grid-cols-[10rem_1fr_auto] items-start gap-x-4 pt-2 max-[43.75rem]:grid-cols-1"
      >
        <NumberField label="Minutes it took" value={doc.minutes} onChange={(minutes) => form.patch({ minutes })} problem={fields.minutes} />
        <TextField
          label="With what it came off"
          className="entry"
          value={doc.by}
          onChange={(by) => form.patch({ by })}
          problem={fields.by}
        />
        <button type="submit" className="act mt-6" disabled={pending}>
          Save
        </button>
      </form>
      <Fault of={fault} />
    </details>
  );
}
