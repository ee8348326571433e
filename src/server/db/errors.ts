/** The database cannot be used; the message says what to do. */
export class DatabaseError extends Error {
  override name = 'DatabaseError';
}
