/** What the rows of a file that is brought in may be. */
import { CSV_KINDS } from '../../core/formats';

export const IMPORT_KINDS = [...CSV_KINDS, 'pressings', 'shop'] as const;
