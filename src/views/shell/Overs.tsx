/** What opens over whatever page is shown: Find by `/`, Help by `?`, or their buttons in the head. What they need comes with the first use. */
import { useEffect, useRef, useState } from 'react';
import { useFetched } from '../../ui/useFetched';
import { closeOver, type Over, whenOverIsAsked } from './over';
import { endTour, useTour } from './tourNow';

const LOOKS: Record<Over, { label: string; look: string }> = {
  find: {
    label: 'Find',
    look: 'mx-auto mt-[8vh] mb-auto max-h-[84vh] w-[min(44rem,100vw-1.5rem)] overflow-hidden narrow:mt-3 narrow:max-h-[calc(100dvh-1.5rem)]',
  },
  help: {
    label: 'Help',
    look: 'mr-0 ml-auto my-0 h-dvh max-h-dvh w-[min(27rem,100vw)] overflow-y-auto',
  },
};
const findPanel = () => import('./FindPanel');
const helpPanel = () => import('../help/HelpPanel');
const tour = () => import('../help/Tour');

export function Overs() {
  const [open, setOpen] = useState<{ over: Over; word: string | null } | null>(null);
  const dialog = useRef<HTMLDialogElement>(null);
  const find = useFetched(findPanel, open?.over === 'find');
  const help = useFetched(helpPanel, open?.over === 'help');
  const close = () => dialog.current?.close();
  const isOnTour = useTour();
  const guide = useFetched(tour, isOnTour);
  useEffect(() => whenOverIsAsked(setOpen, () => dialog.current?.close()), []);
  useEffect(() => {
    // it is about the page that was left
    document.addEventListener('astro:before-swap', closeOver);
    return () => document.removeEventListener('astro:before-swap', closeOver);
  }, []);
  useEffect(() => {
    if (open && !dialog.current?.open) dialog.current?.showModal();
  }, [open]);
  if (!open) return isOnTour && guide ? <guide.Tour onEnd={endTour} /> : null;
  const { label, look } = LOOKS[open.over];
  return (
    <dialog
      ref={dialog}
      aria-label={label}
      onClose={() => setOpen(null)}
      // a touch beside it puts it away
      onClick={(event) => event.target === dialog.current && close()}
      onKeyDown={(event) => event.key === 'Escape' && close()}
      className={`max-w-none border-2 border-ink bg-paper p-0 text-ink backdrop:bg-night/60 ${look}`}
    >
      {open.over === 'find' && find && <find.FindPanel onDone={close} />}
      {open.over === 'help' && help && <help.HelpPanel key={open.word} word={open.word} onDone={close} />}
      {!(open.over === 'find' ? find : help) && <p className="label p-4">One moment …</p>}
    </dialog>
  );
}
