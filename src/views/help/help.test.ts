import { readdirSync } from 'node:fs';
import { describe, expect, it } from 'vitest';
import { WORD_IDS } from '../../core/words';
import { helpOf } from './pages';

/** The address of every page of the app, with something in the place of what is asked for. */
const addresses = (readdirSync('src/pages', { recursive: true }) as string[])
  .filter((file) => file.endsWith('.astro'))
  .map((file) => `/${file.replace(/(index)?\.astro$/, '').replace(/\[\w+\]/g, 'one')}`.replace(/(.)\/$/, '$1'))
  .filter((address) => !['/404', '/offline', '/words'].includes(address));

describe('help', () => {
  it('knows every page of the app by itself, and tells it in three lines', () => {
    expect(addresses.length).toBeGreaterThan(15);
    for (const address of addresses) {
      expect(helpOf(address).title, address).not.toBe(helpOf('/nowhere').title);
      expect(helpOf(address).lines, address).toHaveLength(3);
    }
  });

  it('leads to every word from some page, but for those that explain themselves where they stand', () => {
    const led = new Set(addresses.flatMap((address) => helpOf(address).words));
    expect(WORD_IDS.filter((id) => !led.has(id)).sort()).toEqual(['carrier', 'dwell', 'tack', 'weed']);
  });
});
