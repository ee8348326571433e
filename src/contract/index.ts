/** The contract's light face, for views: the client, the paths and the types. Schemas are in `routes` and `schemas`, for the server. */
export { AwayError, call, ProblemError } from './client';
export { API } from './paths';
export type { Reply } from './routes';
export type { BenchRow, LineCard, Logged, Problem, Rail, RunReply, ShelfReply } from './schemas';
