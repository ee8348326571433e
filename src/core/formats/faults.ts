/** Faults in a file: each named by its place, the first of them kept, all of them counted. */

/** A fault in a file: the line it stands on (the heading is line 1), the column, and what is wrong. */
export interface LineFault {
  line: number;
  field: string;
  message: string;
}

/** More than these nobody reads, and a file of a million faults is one fault. */
const MOST_KEPT = 200;

export class Faults {
  readonly list: LineFault[] = [];
  count = 0;
  add(...faults: readonly LineFault[]): void {
    this.count += faults.length;
    this.list.push(...faults.slice(0, MOST_KEPT - this.list.length));
  }
}
