/** What the rows of a file that is brought in may be. */
import { SHELF_KINDS } from '../../core/sheet';

export const IMPORT_KINDS = [...SHELF_KINDS, 'pressings', 'shop'] as const;
