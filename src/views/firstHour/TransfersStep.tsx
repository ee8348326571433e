/** Transfers: a sheet typed in while it lies there, a list brought in, or the general figures for now. */
import { useState } from 'react';
import { FAMILIES, FAMILY_IDS, type FamilyId } from '../../core/sheet';
import { ChoiceField } from '../../ui/Field';
import { goTo } from '../shell/goTo';
import type { Doing } from './doing';

const KINDS = [{ value: '' as const, text: 'choose a kind' }, ...FAMILY_IDS.map((id) => ({ value: id, text: FAMILIES[id].name }))];

export function TransfersStep({ shop, onDone }: Doing) {
  const [family, setFamily] = useState<FamilyId | ''>('');
  return (
    <>
      <form
        className="flex flex-wrap items-end gap-3"
        onSubmit={(event) => {
          event.preventDefault();
          if (family) goTo(`/shelf/products/new?from=${family}`);
        }}
      >
        <div className="grow basis-64">
          <ChoiceField
            label="Type in the sheet of a transfer you have: what kind is it?"
            value={family}
            options={KINDS}
            onChange={setFamily}
            hint={family ? FAMILIES[family].what : ''}
          />
        </div>
        <button type="submit" className={`act mb-8 ${family ? 'act-main' : ''}`} disabled={!family}>
          Type in its sheet
        </button>
      </form>
      <div className="flex flex-wrap items-center gap-4 pt-2">
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
