/** Numbers of pieces in words. */

/** `3`, `1 to 4`. */
const pieceRange = (pieces: readonly number[]): string =>
  pieces.length > 1 ? `${pieces[0]} to ${pieces.at(-1)}` : String(pieces[0] ?? '');

/** `piece 3`, `pieces 1 to 4`; a trial's scrap where there is none. */
export const piecesOrScrap = (pieces: readonly number[]): string => piecesWords(pieces) || 'scrap';

/** `piece 3`, `pieces 1 to 4`; nothing for none. */
export const piecesWords = (pieces: readonly number[]): string =>
  pieces.length === 0 ? '' : `${pieces.length > 1 ? 'pieces' : 'piece'} ${pieceRange(pieces)}`;
