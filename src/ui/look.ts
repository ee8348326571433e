/** Light or dark: as the system has it, or as it is chosen in this browser. The choice lies in a cookie, so that a page is served in it. */
import { useEffect, useState } from 'react';

export const LOOKS = ['system', 'light', 'dark'] as const;
export type Look = (typeof LOOKS)[number];

const YEAR_S = 365 * 24 * 3600;

const current = (): Look => (document.documentElement.dataset.look as Look | undefined) ?? 'system';

export function useLook(): [Look, (look: Look) => void] {
  const [look, setLook] = useState(current);
  return [
    look,
    (next) => {
      setLook(next);
      if (next === 'system') delete document.documentElement.dataset.look;
      else document.documentElement.dataset.look = next;
      // biome-ignore lint/suspicious/noDocumentCookie: the store for cookies is not in every browser
      document.cookie = `look=${next}; path=/; max-age=${next === 'system' ? 0 : YEAR_S}; samesite=lax`;
    },
  ];
}

const NAMES = ['ink', 'soft', 'line', 'teal'] as const;
export type Colours = Record<(typeof NAMES)[number], string>;

/** The colours as they are now, in words that a canvas understands. */
function readColours(): Colours {
  const probe = document.createElement('i');
  document.body.append(probe);
  const read = (name: string) => {
    probe.style.color = `var(--color-${name})`;
    return getComputedStyle(probe).color;
  };
  const colours = Object.fromEntries(NAMES.map((name) => [name, read(name)])) as Colours;
  probe.remove();
  return colours;
}

/** Colours for what is drawn on a canvas; read again when the look changes. */
export function useColours(): Colours {
  const [colours, setColours] = useState(readColours);
  useEffect(() => {
    const again = () => setColours(readColours());
    const watched = new MutationObserver(again);
    watched.observe(document.documentElement, { attributeFilter: ['data-look'] });
    const system = matchMedia('(prefers-color-scheme: dark)');
    system.addEventListener('change', again);
    return () => {
      watched.disconnect();
      system.removeEventListener('change', again);
    };
  }, []);
  return colours;
}
