/** The face of a card: set values, window bar, lamp, stages, stack and steps. Read-only unless it is given a handle to move. */
import { type ReactNode, useState } from 'react';
import { bracketWords, type Card, letteringOf, type Stage } from '../../core/card';
import { type Field, layerName } from '../../core/draft';
import { COVER_SHEETS } from '../../core/heat';
import type { Lamp } from '../../core/judgement';
import type { HouseUnits } from '../../core/units';
import type { WordId } from '../../core/words';
import { Letters } from '../../ui/LetterR';
import { Stack } from '../../ui/Stack';
import { StageLine } from '../../ui/StageLine';
import { WindowBar } from '../../ui/WindowBar';
import { Term } from '../shell/Term';
import { LampReasons } from './LampReasons';
import { Reasons } from './Reasons';
import { SetValues } from './SetValues';
import { Steps } from './Steps';

interface CardFaceProps {
  card: Card;
  house: HouseUnits;
  /** Where the handle stands; the card's own set value when absent. */
  setC?: number;
  lamp?: Lamp;
  onMove?: (setC: number) => void;
  /** Stands at the end of the title line. */
  aside?: ReactNode;
  /** Stands under the stack: the platen with the art on it. */
  platen?: ReactNode;
  /** Stands under the window bar: acts, ways out. */
  children?: ReactNode;
}

export function CardFace({ card, house, setC = card.set.tempC, lamp = card.lamp, onMove, aside, platen, children }: CardFaceProps) {
  const [open, setOpen] = useState<Field | null>(null);
  const toggle = (field: Field) => setOpen(open === field ? null : field);
  const presses = card.stages.filter((stage) => stage.by === 'press' && stage.kind !== 'pre-press');
  const [shown, setShown] = useState(() => presses.findIndex((stage) => stage.kind === 'press'));
  const stage = presses[shown];
  return (
    <>
      <div className="flex items-start justify-between gap-4 narrow:flex-col-reverse narrow:gap-0">
        <Title card={card} />
        {aside}
      </div>
      <SetValues card={card} setC={setC} house={house} lamp={lamp} open={open} onOpen={toggle} />
      {open && <Reasons card={card} field={open} onClose={() => setOpen(null)} />}
      <WindowBar
        window={card.window}
        bracket={bracketWords(card, card.window.settable.unit)}
        setC={setC}
        house={house}
        {...(onMove && { onMove })}
      />
      <LampReasons lamp={lamp} />
      {children}
      <section aria-label="Stages" className="rule-top mt-3 pt-3">
        <StageLine stages={card.stages} />
        <StageWords stages={card.stages} />
      </section>
      <div className="grid grid-cols-[minmax(0,1fr)] gap-8 pt-4 min-[75rem]:grid-cols-[22rem_minmax(0,1fr)]">
        <section aria-label="Stack">
          <h2 className="pb-2">
            <Term of="stack">Under the press</Term>
          </h2>
          {presses.length > 1 && (
            <div className="flex flex-wrap gap-1 pb-2">
              {presses.map((press, i) => (
                <button
                  key={i}
                  type="button"
                  aria-pressed={i === shown}
                  onClick={() => setShown(i)}
                  className={`min-h-12 border-b-4 px-2 ${i === shown ? 'border-teal font-semibold' : 'border-transparent'}`}
                >
                  {press.kind}
                  {presses.filter((other) => other.kind === press.kind).length > 1 ? ` ${i + 1}` : ''}
                </button>
              ))}
            </div>
          )}
          <Stack layers={stage?.stack ?? []} faceC={stage?.setC ?? card.delivered.midC} />
          <PoseAct card={card} onOpen={toggle} />
          {platen}
        </section>
        <Steps card={card} />
      </div>
    </>
  );
}

const WORD_OF: Partial<Record<Stage['kind'], WordId>> = {
  'pre-press': 'prepress',
  marry: 'marry',
  tack: 'tack',
  peel: 'peel',
  finish: 'finish',
};
const SAID: Partial<Record<Stage['kind'], string>> = { finish: 'a second press' };

/** The words of the trade among the stages, each with what it means. */
function StageWords({ stages }: Pick<Card, 'stages'>) {
  const kinds = [...new Set(stages.map(({ kind }) => kind))].flatMap((kind) => {
    const id = WORD_OF[kind];
    return id ? [{ id, says: SAID[kind] ?? kind }] : [];
  });
  if (kinds.length === 0) return null;
  return (
    <p className="label flex flex-wrap gap-x-4">
      {kinds.map(({ id, says }) => (
        <Term key={id} of={id}>
          what is {says}?
        </Term>
      ))}
    </p>
  );
}

function Title({ card }: { card: Card }) {
  const { of } = card;
  const layers = of.layers.map(layerName).join(', then ');
  return (
    <p className="min-w-0 pt-2 pb-1 text-soft">
      <span className="font-semibold text-ink">
        {of.blankName} {of.size}
      </span>
      , {of.fabricName} · {layers} · {of.position} · {of.pressName}
    </p>
  );
}

const PADS: Record<Card['set']['pad'], string> = {
  none: '',
  'felt under': ', felt under it',
  'soft pad over': ', soft pad over it',
  'foam over': ', foam over it',
  'foam behind': ', foam behind it',
};

/** What the hands lay it by: the letter, the cover, the base, and for whom each piece is. */
function PoseAct({ card, onOpen }: { card: Card; onOpen: (field: Field) => void }) {
  const { set, of } = card;
  return (
    <div className="pt-4">
      <Letters lettering={letteringOf(card)} />
      <dl className="pt-3">
        {(
          [
            ['cover', 'Cover', set.cover ? COVER_SHEETS[set.cover].name : 'none'],
            ['base', 'Base', `${set.base}${PADS[set.pad]}${set.platen ? `, ${set.platen}` : ''}`],
          ] as const
        ).map(([field, name, words]) => (
          <div key={field} className="rule-top grid grid-cols-[5rem_1fr] items-center">
            <dt className="label">{name}</dt>
            <dd>
              <button
                type="button"
                className="min-h-12 min-w-12 text-left underline decoration-line underline-offset-4"
                onClick={() => onOpen(field)}
              >
                {words}
              </button>
            </dd>
          </div>
        ))}
        {of.roster.length > 0 && (
          <div className="rule-top grid grid-cols-[5rem_1fr] py-2">
            <dt className="label">Roster</dt>
            <dd>
              <ol className="columns-2">
                {of.roster.map(({ number, name }) => (
                  <li key={`${number} ${name}`}>
                    <span className="figure font-semibold">{number}</span> {name}
                  </li>
                ))}
              </ol>
            </dd>
          </div>
        )}
      </dl>
    </div>
  );
}
