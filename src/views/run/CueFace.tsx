/** The cue: what to do now and for which piece, its clock, why, and what comes after. The whole of it is the button. */
import type { ComponentType } from 'react';
import { baseBurns, type Cue, cueVerb, type How, heatWords, howOf, type RunPlan, type RunState, stageWords } from '../../core/run';
import { type Phrase, phraseText } from '../../core/units';
import { useUnits } from '../../ui/house';
import { piecesWords } from '../../ui/pieces';
import { Says } from '../../ui/Says';
import { DrainingBar } from './DrainingBar';
import type { Whose } from './whose';
import { WHY } from './words';

/** What is done with the hands over the base. */
const REACHES_OVER: ReadonlySet<string> = new Set(['load', 'place', 'turn over']);

interface CueFaceProps {
  cue: Cue;
  next: readonly Cue[];
  mine: Whose;
  /** What pieces are called in a few words. */
  nameOf: (pieces: readonly number[]) => string;
  /** The first of its print that is looked over. */
  isFirst: boolean;
  plan: RunPlan;
  state: RunState;
  /** What is to be said instead of why: a refusal, seconds left, steps that wait. */
  word: string;
  /** The rhythm in which married sheets are parted; null: it is on its way. */
  Guide: ComponentType | null;
  onAct: () => void;
}

export function CueFace({ cue, next, mine, nameOf, isFirst, plan, state, word, Guide, onAct }: CueFaceProps) {
  const { card } = mine;
  const stage = card.stages[cue.stage];
  const { unit } = card.window.settable;
  const heat = heatWords(cue, unit);
  const why = word || (cue.why ? WHY[cue.why] : '');
  return (
    <button
      type="button"
      data-cue={cue.hot ? 'hot' : cue.act ? 'due' : 'running'}
      onClick={onAct}
      className={`block flex-1 border-0 [contain:layout_style] py-2 text-left text-white ${cue.hot ? '-mx-6 bg-[#5c1b10] px-6' : 'bg-transparent'}`}
    >
      <span className="flex flex-wrap items-end justify-between gap-x-8">
        <span data-verb className="block leading-none font-bold" style={{ fontSize: 'clamp(60px, 9.2vw, 118px)' }}>
          {cueVerb(cue, unit)}
        </span>
        {cue.leftS !== null && cue.act === null ? (
          <span className="flex items-baseline gap-3 leading-none font-semibold" style={{ fontSize: 'clamp(60px, 9.2vw, 118px)' }}>
            <span className="figure">{clock(cue.leftS)}</span>
            {cue.leftS < 60 && <span className="text-4xl font-normal">s</span>}
          </span>
        ) : null}
      </span>
      <DrainingBar lastsS={cue.lastsS} dueAt={cue.dueAt} />
      <span className="flex flex-wrap items-baseline gap-x-4 pt-2 text-2xl">
        {!heat && <WhichPiece mine={mine} pieces={cue.pieces} isLookedAt={cue.act === 'kept'} />}
        {!heat && card.of.side && <span className="text-4xl leading-none font-bold">{card.of.position}</span>}
        <span className="text-night-soft">{heat ? <Says words={heat} /> : stage ? <Says words={stageWords(stage, state)} /> : null}</span>
      </span>
      {!heat && <HowTo act={cue.act} how={howOf(card, cue, isFirst)} Guide={Guide} />}
      {stage && REACHES_OVER.has(stage.kind) && baseBurns(plan, state) && (
        <span className="block pt-1 text-lg text-amber" data-safety>
          The base burns by now: gloves, or keep your fingers on the blank.
        </span>
      )}
      <span className="flex min-h-9 flex-wrap items-baseline gap-x-4 pt-1 text-xl">
        {why && <span className="text-amber">{why}</span>}
        <span className="text-night-soft" data-next>
          {next.length > 0 ? `Then: ${next.map((cue) => nextWords(cue, unit, nameOf(cue.pieces))).join('; ')}` : ''}
        </span>
      </span>
    </button>
  );
}

interface WhichPieceProps {
  mine: Whose;
  pieces: readonly number[];
  /** Each of several designs has its own verdict: it is the first one's now. */
  isLookedAt: boolean;
}

/** The piece a cue is about, by its person where it has one, and in a batch by its order; several designs by their names. */
function WhichPiece({ mine: { person, place, designs, name }, pieces, isLookedAt }: WhichPieceProps) {
  if (pieces.length === 0) return null;
  const isOne = person && pieces.length === 1;
  const [design, ...others] = designs;
  return (
    <span className="inline-block text-4xl leading-none font-bold" data-piece>
      {design !== undefined && isLookedAt ? (
        design
      ) : isOne ? (
        <>
          {person.number && <span className="figure">{person.number}</span>} {person.name}{' '}
          <span className="text-2xl font-normal text-night-soft">{piecesWords(pieces)}</span>
        </>
      ) : (
        <span className="inline-block first-letter:uppercase">{place && design ? `piece ${place.nth}` : piecesWords(pieces)}</span>
      )}
      {place && (
        <span className="text-2xl font-normal">
          {' '}
          {design === undefined
            ? `· ${name}: ${place.nth} of ${place.of}`
            : isLookedAt
              ? `· piece ${place.nth} of ${place.of}${others.length > 0 ? `, then ${others.join(', ')}` : ''}`
              : `of ${place.of} · ${designs.join(', ')}`}
        </span>
      )}
    </span>
  );
}

/** How it is done, and what can hurt while it is. */
function HowTo({ how, act, Guide }: { how: How; act: Cue['act']; Guide: ComponentType | null }) {
  const units = useUnits();
  const joined = (phrases: readonly Phrase[]) => [...new Set(phrases.map((phrase) => phraseText(phrase, units)))].join(' ');
  return (
    <>
      {how.says.length > 0 && <span className="block max-w-5xl pt-1 text-xl leading-snug text-night-soft">{joined(how.says)}</span>}
      {/* the guide begins anew as the hand does */}
      {how.parts && Guide && <Guide key={act} />}
      {how.safety.length > 0 && (
        <span className="mt-2 block max-w-5xl border-l-4 border-amber pl-3 text-lg leading-snug text-amber" data-safety>
          {joined(how.safety)}
        </span>
      )}
    </>
  );
}

/** Whole seconds under a minute, minutes and seconds over it. */
function clock(leftS: number): string {
  const s = Math.ceil(leftS);
  return s < 60 ? String(s) : `${Math.floor(s / 60)}:${String(s % 60).padStart(2, '0')}`;
}

/** A cue that follows; one about the press's heat is of no piece. */
const nextWords = (cue: Cue, unit: 'C' | 'F', pieces: string): string => {
  const verb = cueVerb(cue, unit);
  return `${verb.charAt(0).toLowerCase()}${verb.slice(1)}${cue.heat ? '' : `, ${pieces}`}`;
};
