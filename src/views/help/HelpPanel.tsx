/** Help over a page: what it is for, its keys, its words; or one word with its drawing. */
import { useState } from 'react';
import { WORD_IDS, type WordId, wordOf } from '../../core/words';
import { Drawing, isDrawn } from '../../ui/Drawing';
import { beginTour, isSampleShop } from '../shell/tourNow';
import { EVERYWHERE, helpOf } from './pages';

const isWord = (word: string | null): word is WordId => WORD_IDS.some((id) => id === word);

export function HelpPanel({ word, onDone }: { word: string | null; onDone: () => void }) {
  const [shown, setShown] = useState<WordId | null>(isWord(word) ? word : null);
  return (
    <div className="p-5">
      <div className="flex items-start gap-3">
        {shown && !word && (
          <button type="button" className="act act-quiet" onClick={() => setShown(null)}>
            Back
          </button>
        )}
        <span className="flex-1" />
        <button type="button" className="act act-quiet" onClick={onDone}>
          Close
        </button>
      </div>
      {shown ? <OneWord id={shown} /> : <ThisPage onWord={setShown} />}
    </div>
  );
}

function OneWord({ id }: { id: WordId }) {
  const { word, means } = wordOf(id);
  return (
    <>
      {isDrawn(id) && <Drawing of={id} width={180} />}
      <h2 className="pt-3 text-2xl">{word}</h2>
      <p className="py-2">{means}</p>
      <p className="pt-3">
        <a className="inline-flex min-h-11 items-center" href={`/words#${id}`}>
          All words
        </a>
      </p>
    </>
  );
}

function ThisPage({ onWord }: { onWord: (id: WordId) => void }) {
  const { title, lines, keys = [], words } = helpOf(location.pathname);
  return (
    <>
      <h2 className="text-2xl">{title}</h2>
      {lines.map((line) => (
        <p key={line} className="pt-2">
          {line}
        </p>
      ))}
      {isSampleShop() && (
        <p className="pt-4">
          <a className="act act-main" href="/" onClick={beginTour}>
            Take the tour: press one piece, four minutes
          </a>
        </p>
      )}
      <h3 className="rule-top mt-5 pt-3 narrow:hidden">Keys</h3>
      <dl className="grid narrow:hidden grid-cols-[7rem_1fr] gap-y-1 pt-1">
        {[...keys, ...EVERYWHERE].map(([key, does]) => (
          <div key={key} className="contents">
            <dt>
              <span className="key">{key}</span>
            </dt>
            <dd>{does}</dd>
          </div>
        ))}
      </dl>
      <h3 className="rule-top mt-5 pt-3">Words</h3>
      <ul className="flex flex-wrap gap-2 pt-2">
        {words.map((id) => (
          <li key={id}>
            <button type="button" className="act min-h-11" onClick={() => onWord(id)}>
              {wordOf(id).word}
            </button>
          </li>
        ))}
      </ul>
      <p className="pt-3">
        <a className="inline-flex min-h-11 items-center" href="/words">
          All words
        </a>
      </p>
    </>
  );
}
