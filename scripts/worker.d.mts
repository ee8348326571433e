export function buildWorker(home: string, outfile: string): Promise<unknown>;
export function buildBeside(home: string, folder: string): Promise<void>;
