/** Every word of the app, each with a drawing where one helps. Drawn by the server: it needs no script. */
import { WORD_IDS, wordOf } from '../../core/words';
import { Drawing, isDrawn } from '../../ui/Drawing';

const byWord = [...WORD_IDS].sort((a, b) => wordOf(a).word.localeCompare(wordOf(b).word, 'en'));

export const Words = () => (
  <div className="mx-auto max-w-[77.5rem] px-5 pt-4 narrow:px-4">
    <h1 className="pb-3">Words</h1>
    <div className="grid grid-cols-2 gap-x-10 max-[62rem]:grid-cols-1">
      {byWord.map((id) => (
        <section key={id} id={id} className="rule-top flex scroll-mt-4 items-start gap-4 py-3 target:bg-sheet">
          <span className="w-24 shrink-0">{isDrawn(id) && <Drawing of={id} width={96} />}</span>
          <div>
            <h2>{wordOf(id).word}</h2>
            <p>{wordOf(id).means}</p>
          </div>
        </section>
      ))}
    </div>
  </div>
);
