/** The layers of a print, lowest first: each a transfer and its colour. */
import { FAMILIES, type Product } from '../../core/sheet';
import { ChoiceField, TextField } from '../../ui/Field';
import type { LayerDraft } from './lineDraft';
import { PickField } from './PickField';

interface LayerRowsProps {
  layers: LayerDraft[];
  products: Product[];
  problems: (string | undefined)[];
  onChange: (layers: LayerDraft[]) => void;
}

const NAMES = ['Transfer', 'Layer over it', 'Third layer', 'Fourth layer', 'Fifth layer', 'Sixth layer', 'Seventh layer', 'Eighth layer'];

export function LayerRows({ layers, products, problems, onChange }: LayerRowsProps) {
  const shelf = products.filter((product) => !product.retiredOn || layers.some((layer) => layer.productId === product.id));
  const items = shelf.map((product) => ({
    id: product.id,
    name: product.name,
    detail: `${FAMILIES[product.familyId].name}, ${product.maker}`,
  }));
  const change = (key: string, part: Partial<LayerDraft>) =>
    onChange(layers.map((layer) => (layer.key === key ? { ...layer, ...part } : layer)));
  return (
    <>
      {layers.map((layer, i) => {
        const product = products.find((product) => product.id === layer.productId);
        return (
          <div
            key={layer.key}
            className="grid grid-cols-[1fr_11rem_3rem] items-start gap-x-5 narrow:grid-cols-[1fr_3rem] narrow:*:first:col-span-2"
          >
            <div>
              <PickField
                label={NAMES[i] ?? `Layer ${i + 1}`}
                value={layer.productId}
                onChange={(productId) => change(layer.key, { productId, colour: '' })}
                problem={problems[i]}
                items={items}
              />
              <p className="label min-h-6 pt-0.5 pb-1.5">{product ? `${FAMILIES[product.familyId].name}, ${product.maker}` : ''}</p>
            </div>
            <ColourField
              colours={product?.colours.map((colour) => colour.name) ?? []}
              value={layer.colour}
              onChange={(colour) => change(layer.key, { colour })}
            />
            {layers.length > 1 ? (
              <button
                type="button"
                className="act act-quiet mt-6"
                aria-label={`Take layer ${i + 1} out`}
                onClick={() => onChange(layers.filter((layerDraft) => layerDraft.key !== layer.key))}
              >
                ✕
              </button>
            ) : (
              <span />
            )}
          </div>
        );
      })}
    </>
  );
}

function ColourField({ colours, value, onChange }: { colours: string[]; value: string; onChange: (colour: string) => void }) {
  if (colours.length === 0) return <TextField label="Its colour" value={value} onChange={onChange} hint="May stay empty" />;
  const options = [{ value: '', text: 'not said' }, ...colours.map((name) => ({ value: name, text: name }))];
  return <ChoiceField label="Its colour" value={value} options={options} onChange={onChange} />;
}
