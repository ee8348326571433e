/** What lies over a print; apart from the schemas, for pages that want the names alone. */

export const COVER_AIDS = ['ptfe', 'paper', 'matte', 'silicone'] as const;
/** What may lie over a print: an aid of the shop, or, in a finish, the transfer's own used carrier. */
export const COVER_KINDS = [...COVER_AIDS, 'used carrier'] as const;
export type CoverKind = (typeof COVER_KINDS)[number];
/** The aid that lies there; null: it is none. */
export const coverAid = (cover: CoverKind): (typeof COVER_AIDS)[number] | null => (cover === 'used carrier' ? null : cover);
