/** Backup and restore: one file out, one file in; what is put back is proven whole before anything is touched; copies the app keeps by itself. */
import { useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import type { Problem } from '../../contract';
import { API } from '../../contract';
import { instantText } from '../../ui/days';
import { queries } from '../../ui/query';

interface BackupCopy {
  name: string;
  before: string;
  at: number;
  bytes: number;
}

type Restored = { kept: string; sealed: boolean } | Problem;

const AWAY = 'The server does not answer. Nothing was changed; try again once it is back.';

const sizeText = (bytes: number) => (bytes < 1e6 ? `${Math.ceil(bytes / 1000)} kB` : `${(bytes / 1e6).toFixed(1)} MB`);

/** Puts something in the place of the shop, and says how that went. */
async function putBack(address: string, file?: File): Promise<{ good: boolean; text: string }> {
  try {
    const sent = file ? { headers: { 'content-type': 'application/octet-stream' }, body: file } : {};
    const reply = (await (await fetch(`${API}${address}`, { method: 'PUT', ...sent })).json()) as Restored;
    if (!('kept' in reply)) return { good: false, text: reply.detail };
    await queries.invalidateQueries();
    // a copy the app kept is the shop's file as it was, and never had a seal
    const unsealed =
      reply.sealed || !file
        ? ''
        : ' It is from an older version and has no seal: all of it could be read, but nothing tells whether it was changed.';
    return { good: true, text: `Restored.${unsealed} The shop as it was before is kept on the server as ${reply.kept}.` };
  } catch {
    return { good: false, text: AWAY };
  }
}

export function Backup() {
  const [file, setFile] = useState<File | null>(null);
  const [busy, setBusy] = useState(false);
  const [words, setWords] = useState<{ good: boolean; text: string } | null>(null);
  const restore = async (address: string, from?: File) => {
    setBusy(true);
    const told = await putBack(address, from);
    setWords(told);
    if (told.good) setFile(null);
    setBusy(false);
  };
  return (
    <section id="backup" className="rule-top mt-4 scroll-mt-20 pt-3" aria-label="Backup">
      <h2>Backup</h2>
      <p className="label pb-2">The whole shop in one file: shelf, orders, cards, every record. Keep it on another machine.</p>
      <div className="flex flex-wrap gap-2">
        <a className="act" href={`${API}/backup`} download>
          Make a backup
        </a>
        <label className="act act-quiet">
          Restore a backup …
          <input
            type="file"
            className="sr-only"
            onChange={(event) => {
              setFile(event.target.files?.[0] ?? null);
              setWords(null);
            }}
          />
        </label>
      </div>
      {file && (
        <div className="mt-2 border-l-4 border-amber bg-sheet px-3 py-2">
          <p>{file.name} takes the place of everything in this shop. What is here now is kept beside it on the server.</p>
          <button type="button" className="act act-main mt-2 mr-2" disabled={busy} onClick={() => void restore('/restore', file)}>
            {busy ? 'Checking it …' : 'Restore it'}
          </button>
          <button type="button" className="act act-quiet mt-2" onClick={() => setFile(null)}>
            Cancel
          </button>
        </div>
      )}
      {words && (
        <p
          role={words.good ? 'status' : 'alert'}
          className={`mt-2 border-l-4 pl-3 ${words.good ? 'border-teal' : 'border-brick text-brick'}`}
        >
          {words.text}
        </p>
      )}
      <BackupCopies busy={busy} onPutBack={(name) => void restore(`/kept-copies/${encodeURIComponent(name)}/restore`)} />
    </section>
  );
}

/** Copies the app keeps beside the shop by itself; the newest few of each kind. */
function BackupCopies({ busy, onPutBack }: { busy: boolean; onPutBack: (name: string) => void }) {
  const [asked, setAsked] = useState<string | null>(null);
  const { data = [] } = useQuery({
    queryKey: ['keptCopies'],
    queryFn: async () => ((await (await fetch(`${API}/kept-copies`)).json()) as { copies: BackupCopy[] }).copies,
  });
  if (data.length === 0) return null;
  return (
    <div className="pt-3">
      <h3>Kept on the server</h3>
      <p className="label">
        The shop as it was before a backup was put back, or before a newer version changed it. The newest five of each are kept.
      </p>
      <ul>
        {data.map((copy) => (
          <li key={copy.name} className="rule-top flex flex-wrap items-center justify-between gap-x-3 py-1">
            <span>
              <span className="figure">{instantText(copy.at)}</span>{' '}
              <span className="label">
                before {copy.before}, {sizeText(copy.bytes)}
              </span>
            </span>
            {asked === copy.name ? (
              <span className="flex gap-2">
                <button
                  type="button"
                  className="act act-main"
                  disabled={busy}
                  onClick={() => {
                    setAsked(null);
                    onPutBack(copy.name);
                  }}
                >
                  Restore it in place of this shop
                </button>
                <button type="button" className="act act-quiet" onClick={() => setAsked(null)}>
                  Cancel
                </button>
              </span>
            ) : (
              <button type="button" className="act act-quiet" disabled={busy} onClick={() => setAsked(copy.name)}>
                Restore …
              </button>
            )}
          </li>
        ))}
      </ul>
    </div>
  );
}
