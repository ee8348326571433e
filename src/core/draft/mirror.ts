/** Which way round art lies on its sheet: a layer's own, by how that layer is laid and from which side the print is looked at. */
import type { Blank } from '../materials';
import type { Product } from '../sheet';

export const MIRRORS = ['mirrored', 'as read', 'by the supplier', 'by the printer path'] as const;
export type Mirror = (typeof MIRRORS)[number];

/** How the art of one transfer lies on its sheet for a blank. */
export function mirrorOf({ facing, mirroring }: Pick<Product, 'facing' | 'mirroring'>, { lookedAt }: Pick<Blank, 'lookedAt'>): Mirror {
  if (mirroring === 'by the supplier') return 'by the supplier';
  if (mirroring === 'by the printer path' && lookedAt === 'the printed side') return 'by the printer path';
  return (facing === 'face down') !== (lookedAt === 'through the blank') ? 'mirrored' : 'as read';
}
