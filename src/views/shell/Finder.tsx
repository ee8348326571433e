/** Find anywhere: `/` or the button in the head opens it over whatever page is shown. What it needs comes with the first use. */
import { useEffect, useRef, useState } from 'react';
import { useFetched } from '../../ui/useFetched';
import { whenFindIsAsked } from './openFind';

const panel = () => import('./FindPanel');

export function Finder() {
  const [isOpen, setIsOpen] = useState(false);
  const dialog = useRef<HTMLDialogElement>(null);
  const parts = useFetched(panel, isOpen);
  const close = () => dialog.current?.close();
  useEffect(
    () =>
      whenFindIsAsked(
        () => setIsOpen(true),
        () => dialog.current?.close(),
      ),
    [],
  );
  useEffect(() => {
    if (isOpen && !dialog.current?.open) dialog.current?.showModal();
  }, [isOpen]);
  if (!isOpen) return null;
  return (
    <dialog
      ref={dialog}
      aria-label="Find"
      onClose={() => setIsOpen(false)}
      // a touch beside it puts it away
      onClick={(event) => event.target === dialog.current && close()}
      onKeyDown={(event) => event.key === 'Escape' && close()}
      className="mx-auto mt-[8vh] mb-auto max-h-[84vh] w-[min(44rem,100vw-1.5rem)] max-w-none overflow-hidden border-2 border-ink bg-paper p-0 text-ink backdrop:bg-night/60 narrow:mt-3 narrow:max-h-[calc(100dvh-1.5rem)]"
    >
      {parts ? <parts.FindPanel onDone={close} /> : <p className="label p-4">One moment …</p>}
    </dialog>
  );
}
