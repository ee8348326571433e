/** Transfers: a sheet typed in while it lies there, a list brought in, or the general figures for now. */
import { useState } from 'react';
import { FAMILIES, FAMILY_IDS } from '../../core/sheet';
import { goTo } from '../shell/goTo';
import type { Doing } from './doing';

export function TransfersStep({ shop, onDone }: Doing) {
  const [family, setFamily] = useState('');
  return (
    <>
      <form
        className="flex flex-wrap items-end gap-3"
        onSubmit={(event) => {
          event.preventDefault();
          if (family) goTo(`/shelf/products/new?from=${family}`);
        }}
      >
        <label className="grow basis-64">
          <span className="label mb-1 block">Type in the sheet of a transfer you have: what kind is it?</span>
          <select className="entry" value={family} onChange={(event) => setFamily(event.target.value)}>
            <option value="">choose a kind</option>
            {FAMILY_IDS.map((id) => (
              <option key={id} value={id}>
                {FAMILIES[id].name}
              </option>
            ))}
          </select>
        </label>
        <button type="submit" className={`act ${family ? 'act-main' : ''}`} disabled={!family}>
          Type in its sheet
        </button>
      </form>
      {family && <p className="label pt-2">{FAMILIES[family as keyof typeof FAMILIES].what}</p>}
      <div className="flex flex-wrap items-center gap-4 pt-5">
        <button type="button" className={`act ${family ? '' : 'act-main'}`} onClick={() => void onDone()}>
          General figures will do for now
        </button>
        <a className="act act-quiet" href="/shelf#lists">
          Import a CSV list
        </a>
      </div>
      <p className="label pt-2">
        {shop.steps.some(({ id, state }) => id === 'transfers' && state === 'done')
          ? 'Transfers of your own stand on the shelf.'
          : `${FAMILY_IDS.length} kinds stand on the shelf, each with general figures.`}
      </p>
    </>
  );
}
