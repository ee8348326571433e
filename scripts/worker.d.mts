export function buildWorker(home: string, outfile: string): Promise<unknown>;
export function buildBeside(home: string, folders: { server: string; client: string }): Promise<void>;
