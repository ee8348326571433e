/** What holds for every page: number keys for the sections, `/` for find, `?` for help, and page changes that wait for an absent server. */

import type { TransitionBeforePreparationEvent } from 'astro:transitions/client';
import { navigate } from 'astro:transitions/client';
import { untilServerAnswers } from '../../ui/away';
import { beginInstall } from '../../ui/install';
import { openOver } from './over';

beginInstall();

const inField = (target: EventTarget | null) =>
  target instanceof HTMLElement && (target.isContentEditable || target.matches('input, textarea, select, [role="slider"]'));

document.addEventListener('keydown', (event) => {
  if (document.querySelector('dialog[open]')) return;
  // in a field a stroke is a letter: there Ctrl makes it a key
  const isMeant = event.ctrlKey || event.metaKey;
  if (event.key === '/' && !event.altKey && (isMeant || !inField(event.target))) {
    event.preventDefault();
    openOver('find');
    return;
  }
  if (isMeant || event.altKey || inField(event.target)) return;
  if (event.key === '?') {
    event.preventDefault();
    openOver('help');
    return;
  }
  const section = document.querySelector<HTMLAnchorElement>(`nav[aria-label="Sections"] a[data-key="${event.key}"]`);
  if (section && !document.querySelector('[data-keys="own"]')) {
    event.preventDefault();
    void navigate(section.href);
  }
});

document.addEventListener('click', ({ target }) => {
  const asked = target instanceof Element && target.closest<HTMLElement>('[data-over]')?.dataset.over;
  if (asked === 'find' || asked === 'help') openOver(asked);
});

// a click must not end on the browser's own error page: hold the change until the server answers
document.addEventListener('astro:before-preparation', (event) => {
  const change = event as TransitionBeforePreparationEvent;
  const load = change.loader;
  change.loader = async () => {
    await untilServerAnswers(change.signal);
    if (!change.signal.aborted) await load();
  };
});
