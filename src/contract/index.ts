/** The contract's light face, for views: the client, the paths and the types. Schemas are in `routes` and `schemas`, for the server. */
export { AwayError, call, ProblemError } from './client';
export { API, PHOTO_MOST } from './paths';
export type { Reply } from './routes';
export type {
  BenchRow,
  ImportReply,
  LineCard,
  Logged,
  ParcelsReply,
  PressReport,
  Problem,
  Rail,
  RunReply,
  ShelfReply,
  Together,
  Unreadable,
} from './schemas';
