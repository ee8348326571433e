/** The rail along the bottom of every page: presses, running clocks, the last undoable act. One island for the whole visit. */
import { type ReactNode, useEffect, useState } from 'react';
import { API, type Rail as RailReply, type Reply } from '../../contract';
import type { RouteName } from '../../contract/paths';
import type { FirstStep } from '../../core/firstHour';
import { formatDuration, formatQuantity } from '../../core/units';
import { undoLast, useLastAct } from '../../ui/acts';
import { serverAnswers, setAway, useAway } from '../../ui/away';
import { onClockJump, secondsLeft, useSecondsTo } from '../../ui/clock';
import { beginOutbox, heardCounts, seenRefusal, useRefusal } from '../../ui/outbox';
import { seenPhotoRefusal, usePhotosOnWay } from '../../ui/photo';
import { piecesOrScrap } from '../../ui/pieces';
import { errorWords, Island, queries, refresh, refreshSoon, useRoute } from '../../ui/query';
import { Overs } from './Overs';
import { runHref } from './runNow';
import { Takeover } from './Takeover';

export function Rail() {
  return (
    <Island>
      <RailBar />
      <Overs />
    </Island>
  );
}

/** One stream while the tab is seen; anything that changed is fetched again. */
function useChangeStream(): void {
  useEffect(() => {
    let stream: EventSource | null = null;
    const listen = () => {
      stream?.close();
      stream = null;
      if (document.hidden) return;
      stream = new EventSource(`${API}/rail/stream`);
      stream.addEventListener('change', (event) => {
        const { runs, stale } = JSON.parse(event.data) as { runs: Record<string, number>; stale: RouteName[] };
        heardCounts(runs);
        refreshSoon(stale);
      });
      stream.addEventListener('devices', (event) =>
        queries.setQueryData<Reply<'devices'>>(['devices', {}], (was) => ({ port: was?.port ?? null, devices: JSON.parse(event.data) })),
      );
      stream.addEventListener('open', () => {
        setAway(false);
        void queries.invalidateQueries();
      });
      stream.addEventListener('error', () => void serverAnswers());
    };
    listen();
    document.addEventListener('visibilitychange', listen);
    return () => {
      document.removeEventListener('visibilitychange', listen);
      stream?.close();
    };
  }, []);
}

function RailBar() {
  useChangeStream();
  useEffect(beginOutbox, []);
  const { data } = useRoute('rail', {});
  const devices = useRoute('devices', {}).data?.devices ?? [];
  const away = useAway();
  // a device that slept asks the server what the time is before anything else
  useEffect(() => onClockJump(() => void refresh('rail')), []);
  return (
    <aside
      className="rail fixed inset-x-0 bottom-(--sections) z-10 flex h-14 items-stretch gap-0 border-t-2 border-ink bg-sheet text-[0.95rem] text-ink"
      aria-label="Rail"
    >
      {away ? (
        <p role="alert" data-token className="flex flex-1 items-center gap-3 bg-brick px-4 font-semibold text-on-brick">
          The app’s server does not answer. This page stays as it is; it goes on by itself once the server is back.
        </p>
      ) : (
        <>
          <ul className="flex min-w-0 items-stretch overflow-hidden narrow:hidden">
            {(data?.presses ?? []).map((press) => (
              <PressToken key={press.id} press={press} device={devices.find((device) => device.pressId === press.id)} />
            ))}
          </ul>
          <ul className="flex min-w-0 flex-1 items-stretch overflow-hidden narrow:overflow-x-auto" aria-label="Running clocks">
            {data?.firstHour && <FirstHourToken of={data.firstHour} />}
            {(data?.runs ?? []).map((run) => (
              <RunTokens key={run.runId} run={run} />
            ))}
          </ul>
        </>
      )}
      <RefusalToken />
      <UndoToken />
      <Takeover runs={data?.runs ?? []} />
    </aside>
  );
}

/** Until a first piece is recorded: how far the shop is, and the way to the next step. */
function FirstHourToken({ of: { next, behind, of } }: { of: NonNullable<RailReply['firstHour']> }) {
  return (
    <li data-token className="border-r border-line leading-tight whitespace-nowrap">
      <a className="flex h-full flex-col justify-center px-4 text-ink no-underline hover:underline" href="/first-hour">
        <span className="text-soft">
          First hour, <span className="figure">{behind}</span> of <span className="figure">{of}</span>
        </span>
        <span className="font-semibold">{next ? `next: ${NEXT_WORDS[next]}` : 'what was left out'}</span>
      </a>
    </li>
  );
}

const NEXT_WORDS: Record<FirstStep, string> = {
  units: 'your units',
  press: 'your press',
  measure: 'measure the press',
  transfers: 'your transfers',
  order: 'the first order',
  card: 'the first card',
  piece: 'the first piece',
};

interface PressTokenProps {
  press: RailReply['presses'][number];
  /** What tells its readout, where one does. */
  device: Reply<'devices'>['devices'][number] | undefined;
}

/** A device that cannot be believed, in a word. */
const UNHEARD = {
  live: '',
  silent: 'readout silent',
  nonsense: 'readout sends nonsense',
  'clock jumped': 'readout’s clock jumped',
} as const;

function PressToken({ press, device }: PressTokenProps) {
  const readout = device?.press;
  return (
    <li className="border-r border-line leading-tight whitespace-nowrap">
      <a
        className="flex h-full flex-col justify-center px-4 text-ink no-underline hover:underline"
        href={`/presses?on=${encodeURIComponent(press.id)}&check=1`}
        title={`Quick check of ${press.name}`}
      >
        <span>{press.name}</span>
        <span className="text-soft">
          {press.setC !== null && <span className="figure">{formatQuantity(press.setC, press.unit)} </span>}
          {press.state}
          {device && !readout && <span className="text-brick">, {UNHEARD[device.state]}</span>}
          {readout && (
            <span data-readout>
              , reads <span className="figure">{formatQuantity(readout.readoutC, press.unit)}</span>
              {readout.state === 'heating' ? ', heating' : ''}
            </span>
          )}
        </span>
      </a>
    </li>
  );
}

type RunNow = RailReply['runs'][number];

/** One token a clock that runs; a run without one says what is to be done. A piece keeps its token, and the focus on it, whatever becomes of it. */
function RunTokens({ run }: { run: RunNow }) {
  const tokens =
    run.clocks.length === 0 ? [{ pieces: run.now, clock: null }] : run.clocks.map((clock) => ({ pieces: clock.pieces, clock }));
  return (
    <>
      {tokens.map(({ pieces, clock }) => (
        <RunToken key={pieces[0] ?? 'run'} run={run} pieces={pieces} clock={clock} />
      ))}
    </>
  );
}

interface RunTokenProps {
  run: RunNow;
  pieces: readonly number[];
  clock: RunNow['clocks'][number] | null;
}

function RunToken({ run, pieces, clock }: RunTokenProps) {
  const now = useSecondsTo(clock ? [clock.dueAt] : []);
  if (!clock)
    return (
      <Token run={run} pieces={pieces} due={false}>
        {run.verb}
      </Token>
    );
  const leftS = secondsLeft(clock.dueAt, now);
  const due = leftS === 0;
  const shut = clock.phase === 'closed';
  return (
    <Token run={run} pieces={pieces} due={due}>
      {due ? (shut ? 'open now' : 'cool enough') : `${shut ? 'pressing' : 'cooling'} `}
      {!due && <span className="figure">{formatDuration(leftS)}</span>}
    </Token>
  );
}

function Token({ run, pieces, due, children }: { run: RunNow; pieces: readonly number[]; due: boolean; children: ReactNode }) {
  return (
    <li data-token className="border-r border-line">
      <a
        href={runHref(run)}
        className={`flex h-full flex-col justify-center px-4 leading-tight no-underline whitespace-nowrap ${due ? 'bg-amber text-print' : 'text-ink'}`}
      >
        <span>
          {run.label} <span className={due ? '' : 'text-soft'}>{piecesOrScrap(pieces)}</span>
        </span>
        <span className="font-semibold">{children}</span>
      </a>
    </li>
  );
}

/** Steps of a run that were not taken, where its own page is not open to say so; and a photo that was not. */
function RefusalToken() {
  const refusal = useRefusal();
  const photo = usePhotosOnWay().refusal;
  const elsewhere = refusal && new URLSearchParams(location.search).get('run') !== refusal.runId ? refusal : null;
  if (elsewhere)
    return <Refused words={`A step kept in this browser was not taken: ${elsewhere.words}`} onSeen={() => seenRefusal(elsewhere.runId)} />;
  return photo && <Refused words={photo} onSeen={seenPhotoRefusal} />;
}

function Refused({ words, onSeen }: { words: string; onSeen: () => void }) {
  return (
    <div role="alert" data-token className="flex items-center gap-3 border-l border-line bg-amber px-3 text-print">
      <span>{words}</span>
      <button type="button" className="act" onClick={onSeen}>
        Seen
      </button>
    </div>
  );
}

function UndoToken() {
  const act = useLastAct();
  const [failed, setFailed] = useState<string | null>(null);
  useEffect(() => setFailed(null), [act]);
  const undo = () => void undoLast().catch((error: unknown) => setFailed(errorWords(error)));
  useEffect(() => {
    const onKey = (event: KeyboardEvent) => {
      const typing = event.target instanceof HTMLElement && event.target.matches('input, textarea, select');
      if ((event.ctrlKey || event.metaKey) && event.key === 'z' && !typing) {
        event.preventDefault();
        undo();
      }
    };
    document.addEventListener('keydown', onKey);
    return () => document.removeEventListener('keydown', onKey);
  });
  if (!act) return null;
  return (
    <div data-token className="ml-auto flex min-w-0 items-center gap-3 border-l border-line px-3" role="status">
      <span className={`narrow:line-clamp-2 narrow:text-sm narrow:leading-tight ${failed ? 'text-brick' : 'text-soft'}`}>
        {failed ?? act.what}
      </span>
      <button type="button" className="act" onClick={undo}>
        Undo <span className="key narrow:hidden">Ctrl Z</span>
      </button>
    </div>
  );
}
