/** How the piece is laid: on which platen, over what, turned how; what is in the way, and what would clear it. */

import { placedOn } from '../../core/advice';
import { layOf, type Pose, type PoseInput, poseOf } from '../../core/draft';
import type { Print } from '../../core/order';
import { type Fit, TURNS } from '../../core/placement';
import { formatTape, type HouseUnits } from '../../core/units';
import { LampMark } from '../../ui/Lamp';

interface LayActsProps {
  input: PoseInput;
  pose: Pose;
  units: HouseUnits;
  onSave: (print: Print, what: string) => void;
}

const FAULTS: Record<Extract<Fit, { feasible: false }>['art'], string> = {
  'larger than the platen': 'The art with its margin is larger than this platen, or lies off it.',
  'on something raised': 'The art lies on something raised. Move it.',
  'held off': 'However it is laid, this comes under the platen:',
};

export function LayActs({ input, pose, units, onSave }: LayActsProps) {
  const { print, press } = input;
  const { choices } = print;
  const works = (changed: Print): boolean => poseOf({ ...input, print: changed }).plain.feasible;
  const platens = [{ id: '', name: 'full platen' }, ...press.swapPlatens.map(({ id, name }) => ({ id, name }))];
  const bases = [
    { id: 'usual pad' as const, name: 'usual pad' },
    { id: 'pillow' as const, name: 'pillow' },
    { id: 'firm pad' as const, name: 'pad cut to the art' },
  ];
  const { plain } = pose;
  return (
    <div className="pt-2">
      <Status pose={pose} units={units} chosen={print.lay !== undefined} />
      {platens.length > 1 && (
        <Choice
          label={`On ${press.name}`}
          options={platens}
          current={choices.platenId ?? ''}
          works={(id) => works(placedOn(print, { platenId: id }))}
          onChoose={(id) => onSave(placedOn(print, { platenId: id }), 'platen chosen')}
        />
      )}
      {press.kind !== 'cap' && (
        <Choice
          label="Under the print"
          options={bases}
          current={choices.base ?? 'usual pad'}
          works={(id) => works(placedOn(print, { base: id === 'usual pad' ? null : id }))}
          onChoose={(id) => onSave(placedOn(print, { base: id === 'usual pad' ? null : id }), 'base chosen')}
        />
      )}
      <div className="flex flex-wrap gap-1 pt-1">
        <button
          type="button"
          className="act act-quiet -ml-2 underline"
          onClick={() => {
            const now = layOf(pose, print.lay);
            onSave(
              { ...print, lay: { ...now, turn: TURNS[(TURNS.indexOf(now.turn) + 1) % TURNS.length] ?? 0 } },
              'piece turned on the platen',
            );
          }}
        >
          Turn the piece
        </button>
        {print.lay && (
          <button
            type="button"
            className="act act-quiet underline"
            onClick={() => {
              const { lay: _, ...rest } = print;
              onSave(rest, 'lay worked out again');
            }}
          >
            Best lay again
          </button>
        )}
        {!plain.feasible && plain.inTheWay.length > 0 && pose.smaller && choices.platenId === undefined && (
          <button
            type="button"
            className="act act-main"
            onClick={() => onSave(placedOn(print, { platenId: pose.smaller?.id ?? null }), 'smaller platen put in')}
          >
            Put the {pose.smaller.name} in
          </button>
        )}
      </div>
    </div>
  );
}

function Status({ pose, units, chosen }: { pose: Pose; units: HouseUnits; chosen: boolean }) {
  const { plain, loading, tooWideToThread } = pose;
  if (plain.feasible)
    return (
      <p className="leading-snug">
        <b>{chosen ? 'Laid as you chose.' : 'There is room for it.'}</b> It may be off by{' '}
        <span className="figure">{formatTape(plain.clearanceMm, units)}</span> in any direction.
        {loading === 'threaded'
          ? ' Pull the piece over the base (threaded).'
          : tooWideToThread
            ? ' Lay it flat: the base is too wide to pull it over.'
            : ''}
      </p>
    );
  const things = plain.inTheWay.map((inTheWay) => inTheWay.kind).join(', ');
  return (
    <p role="status" className="border-l-4 border-brick pl-3 leading-snug">
      {FAULTS[plain.art]} <b>{things}</b>
    </p>
  );
}

interface ChoiceProps<T extends string> {
  label: string;
  options: readonly { id: T; name: string }[];
  current: T;
  works: (id: T) => boolean;
  onChoose: (id: T) => void;
}

function Choice<T extends string>({ label, options, current, works, onChoose }: ChoiceProps<T>) {
  return (
    <fieldset className="m-0 border-0 p-0 pt-3">
      <legend className="label p-0">{label}</legend>
      <div className="flex flex-wrap gap-1">
        {options.map(({ id, name }) => (
          <button
            key={id}
            type="button"
            aria-pressed={id === current}
            onClick={() => onChoose(id)}
            className={`inline-flex min-h-12 items-center gap-2 border px-3 ${id === current ? 'border-ink bg-ink text-paper' : 'border-line bg-sheet'}`}
          >
            <LampMark state={works(id) ? 'clear' : 'hold'} size={16} />
            {name}
          </button>
        ))}
      </div>
    </fieldset>
  );
}
