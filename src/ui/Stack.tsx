/** The stack: what lies between the platens at a stage, top to bottom, the warm face marked, what is new lit. */
import { memo } from 'react';
import type { Layer } from '../core/card';
import { rampColour } from './ramp';

const LOOK: Record<Layer['role'], { height: number; fill: string; text: string }> = {
  'upper platen': { height: 26, fill: '#59656d', text: '#ffffff' },
  'pad over': { height: 26, fill: '#e6cdbb', text: '#18222b' },
  cover: { height: 20, fill: '#f0e4c8', text: '#18222b' },
  carrier: { height: 20, fill: '#dfe6ea', text: '#18222b' },
  transfer: { height: 24, fill: '#0b5c62', text: '#ffffff' },
  adhesive: { height: 20, fill: '#f6d98f', text: '#18222b' },
  'earlier print': { height: 20, fill: '#7fa3a6', text: '#18222b' },
  fabric: { height: 28, fill: '#c3cdb9', text: '#18222b' },
  pillow: { height: 34, fill: '#ead9e6', text: '#18222b' },
  pad: { height: 30, fill: '#d9b9a4', text: '#18222b' },
  'lower platen': { height: 26, fill: '#59656d', text: '#ffffff' },
};

const PLAIN: readonly Layer['role'][] = ['fabric', 'pad', 'pad over', 'pillow', 'adhesive'];

/** What a layer is, where its name does not say. */
const roleWords = (layer: Layer): string =>
  layer.name.includes(layer.role) || PLAIN.includes(layer.role) ? layer.name : `${layer.role}: ${layer.name}`;

export const Stack = memo(function Stack({ layers, faceC }: { layers: readonly Layer[]; faceC: number }) {
  const total = layers.reduce((sum, layer) => sum + LOOK[layer.role].height + 2, 4);
  let y = 2;
  return (
    <svg
      viewBox={`0 0 320 ${total}`}
      className="block w-full"
      style={{ maxWidth: 420 }}
      role="img"
      aria-label={`From the top: ${layers.map((l) => `${roleWords(l)}${l.fresh ? ' (new)' : ''}`).join(', ')}`}
    >
      {layers.map((layer, i) => {
        const look = LOOK[layer.role];
        const top = y;
        y += look.height + 2;
        return (
          <g key={i}>
            <rect x="10" y={top} width="290" height={look.height} fill={look.fill} />
            {layer.hot && <rect x="10" y={top + look.height - 6} width="290" height="6" fill={rampColour(faceC)} />}
            {layer.fresh && (
              <path d={`M2 ${top + look.height / 2 - 6}l8 6l-8 6z`} fill="var(--color-amber)" stroke="var(--color-ink)" strokeWidth="1" />
            )}
            {layer.fresh && (
              <rect
                x="10.75"
                y={top + 0.75}
                width="288.5"
                height={look.height - 1.5}
                fill="none"
                stroke="var(--color-amber)"
                strokeWidth="2"
              />
            )}
            <text x="20" y={top + look.height / 2 + (layer.hot ? 2 : 5)} fontSize="13" fill={look.text}>
              {roleWords(layer)}
            </text>
            {layer.thicknessMm !== null && (
              <text x="292" y={top + look.height / 2 + 5} fontSize="12" textAnchor="end" fill={look.text} className="figure">
                {layer.thicknessMm.toFixed(2)} mm
              </text>
            )}
          </g>
        );
      })}
    </svg>
  );
});
