/** What the request thread asks of a worker thread and is answered: plain data, for it crosses from one to the other. */
import type { MessagePort } from 'node:worker_threads';
import type { RequestParts } from '../http/answer';
import type { RefusalKind } from '../refusal';
import type { LogQuery } from '../stores/pressings';
import type { ComputedRoute, JudgedRoute } from './jobs';

/** A paper of the shop: a card, or the guide of a print. */
export interface PaperJob {
  file: 'card.pdf' | 'guide.pdf' | 'guide.svg' | 'tested-matrix.pdf';
  /** Empty where it is of no order. */
  orderId: string;
  query: Record<string, string>;
}

/** A file that is brought in. */
export interface ImportJob {
  kind: string;
  json: boolean;
  apply: boolean;
  bytes: Uint8Array;
}

/** A list of the shop that may be long: all of it, or the log as it was searched. */
export type ListJob = { list: 'shop' } | { list: 'pressings'; as: 'csv' | 'json'; query: Omit<LogQuery, 'limit'> };

export type Task =
  | { do: 'compute'; route: ComputedRoute; parts: RequestParts }
  | { do: 'judge'; path: string; route: JudgedRoute; parts: RequestParts }
  | { do: 'paper'; path: string; job: PaperJob }
  | { do: 'import'; path: string; job: ImportJob; port: MessagePort }
  | { do: 'list'; path: string; job: ListJob; port: MessagePort }
  | { do: 'prove'; path: string; migrations: string };

/** A refusal, as data. */
export interface Refused {
  kind: RefusalKind;
  title: string;
  detail: string;
  errors?: { field: string; message: string }[] | undefined;
}

/** A reply as it goes out. */
interface DoneText {
  text: string;
  version: number | null;
}
export interface DonePaper {
  bytes: Uint8Array;
  name: string;
  type: string;
}
/** What a task comes to. */
export type DoneOf<T extends Task> = T extends { do: 'paper' } ? DonePaper : DoneText;

export type Done =
  | DoneText
  | DonePaper
  | { refused: Refused }
  /** Nobody's fault but ours. */
  | { fault: { message: string; stack: string } };

/** What a thread is told when it begins. */
export interface ThreadData {
  /** How far it stands back for others (`os.setPriority`). */
  nice: number;
}
