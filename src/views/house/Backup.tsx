/** Backup and restore: one file out, one file in; what is put back is proven whole before anything is touched. */
import { useState } from 'react';
import type { Problem } from '../../contract';
import { API } from '../../contract';
import { queries } from '../../ui/query';

export function Backup() {
  const [file, setFile] = useState<File | null>(null);
  const [busy, setBusy] = useState(false);
  const [words, setWords] = useState<{ good: boolean; text: string } | null>(null);
  const restore = async () => {
    if (!file) return;
    setBusy(true);
    try {
      const response = await fetch(`${API}/restore`, {
        method: 'PUT',
        headers: { 'content-type': 'application/octet-stream' },
        body: file,
      });
      const reply = (await response.json()) as { kept: string } | Problem;
      if ('kept' in reply) {
        await queries.invalidateQueries();
        setWords({
          good: true,
          text: `Put back. The shop as it was before is kept on the server as ${reply.kept.split('/').at(-1) ?? ''}.`,
        });
        setFile(null);
      } else setWords({ good: false, text: reply.detail });
    } catch {
      setWords({ good: false, text: 'The server does not answer. Nothing was changed; try again once it is back.' });
    } finally {
      setBusy(false);
    }
  };
  return (
    <section className="rule-top mt-4 pt-3" aria-label="Backup">
      <h2>Backup</h2>
      <p className="label pb-2">The whole shop in one file: shelf, orders, cards, every record. Keep it on another machine.</p>
      <div className="flex flex-wrap gap-2">
        <a className="act" href={`${API}/backup`} download>
          Take a backup
        </a>
        <label className="act act-quiet">
          Put a backup back …
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
          <button type="button" className="act act-main mt-2 mr-2" disabled={busy} onClick={() => void restore()}>
            {busy ? 'Proving it …' : 'Put it back'}
          </button>
          <button type="button" className="act act-quiet mt-2" onClick={() => setFile(null)}>
            Leave it
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
    </section>
  );
}
