/** The whole screen says that a press has to be opened now. Keys stay in it until somebody goes there or stays. */
import { navigate } from 'astro:transitions/client';
import { useEffect, useLayoutEffect, useRef } from 'react';
import { FocusScope } from 'react-aria/FocusScope';
import { piecesOrScrap } from '../../ui/pieces';
import { playTone, storedSounds } from '../../ui/tones';
import { type RunNow, runHref } from './runNow';

export function Due({ run, pieces, onPutOff }: { run: RunNow; pieces: readonly number[]; onPutOff: () => void }) {
  const main = useRef<HTMLAnchorElement>(null);
  // before it is seen, so that no key goes to what lies under it
  useLayoutEffect(() => main.current?.focus(), []);
  useEffect(() => {
    if (storedSounds() !== 'silent') playTone('open');
  }, []);
  return (
    <FocusScope contain restoreFocus>
      <div
        role="alertdialog"
        aria-modal="true"
        aria-label={`Open the press now: ${run.label}`}
        className="dark-room fixed inset-0 z-50 flex flex-col justify-center bg-night px-10 text-white"
        onKeyDown={(event) => {
          event.stopPropagation();
          if (event.key === 'Escape') onPutOff();
          if (event.key === ' ') {
            event.preventDefault();
            void navigate(runHref(run));
          }
        }}
      >
        <p className="leading-none font-bold" style={{ fontSize: 'clamp(60px, 11vw, 140px)' }}>
          Open now
        </p>
        <p className="pt-4 text-3xl text-night-soft">
          {run.label}, <span className="text-white">{piecesOrScrap(pieces)}</span>: its time is up, and the press is still shut.
        </p>
        <p className="flex gap-4 pt-10">
          <a ref={main} href={runHref(run)} className="act min-h-16 border-amber bg-amber px-8 text-2xl text-print">
            Go to it <span className="key">Space</span>
          </a>
          <button type="button" className="act min-h-16 border-night-line text-xl text-white" onClick={onPutOff}>
            Stay here <span className="key">Esc</span>
          </button>
        </p>
      </div>
    </FocusScope>
  );
}
