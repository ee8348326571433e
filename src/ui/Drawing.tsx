/** Small line drawings that teach: kinds of presses, and what a word or a step is about. Each is 120 by 80, in the ink of the text beside it. */
import type { ReactNode } from 'react';

const ACCENT = 'var(--color-teal)';
const HEAT = 'var(--color-brick-fill)';
const TEE = 'M44 18l8-6q8 7 16 0l8 6 14 12-9 9-7-5v36H46V34l-7 5-9-9z';
const SHEET = 'M34 14h52v52H34z';

/** Waves of heat under a platen, at a height. */
const waves = (y: number, from = 38, to = 82): ReactNode => (
  <path
    d={Array.from({ length: Math.floor((to - from) / 12) + 1 }, (_, i) => `M${from + i * 12} ${y}q3 3 0 6t0 6`).join('')}
    stroke={HEAT}
  />
);
const dots = (points: readonly (readonly [number, number])[], r = 3): ReactNode =>
  points.map(([x, y]) => <circle key={`${x} ${y}`} cx={x} cy={y} r={r} fill={ACCENT} stroke="none" />);

const DRAWINGS = {
  clamshell: (
    <>
      <path d="M14 66h84M22 66v-8h66v8" />
      <path d="M24 40l66 14 2-8-66-14z" fill={ACCENT} stroke="none" />
      <path d="M92 48l10 10v8h-8M26 32l-12-8" />
      <path d="M30 24q-6 8-5 14" strokeDasharray="3 3" />
    </>
  ),
  'swing-away': (
    <>
      <path d="M14 66h66M20 66v-8h54v8M84 66V20M76 20h16" />
      <rect x="62" y="24" width="46" height="9" fill={ACCENT} stroke="none" />
      <path d="M56 28q-22 0-26 14m-4-6l4 7 6-5" strokeDasharray="3 3" />
    </>
  ),
  draw: (
    <>
      <path d="M96 66V16H44M30 66h72" />
      <rect x="44" y="24" width="46" height="9" fill={ACCENT} stroke="none" />
      <path d="M14 54h52v8H14zM40 46H18m6-5l-6 5 6 5" />
    </>
  ),
  cap: (
    <>
      <path d="M28 68h64M60 68V56M34 56q26-34 52 0z" />
      <path d="M28 42q32-42 64 0l-8 5q-24-30-48 0z" fill={ACCENT} stroke="none" />
      <path d="M60 20V8h14" />
    </>
  ),
  'hand press': (
    <>
      <rect x="30" y="48" width="60" height="10" fill={ACCENT} stroke="none" />
      <path d="M36 48V34h48v14M44 34q16-24 32 0M16 66h88" />
    </>
  ),
  iron: (
    <>
      <path d="M18 56q6-22 40-24h40v24z" />
      <path d="M18 56h80v5H18z" fill={ACCENT} stroke="none" />
      <path d="M50 32q4-14 20-14h26v14M12 68h96" />
    </>
  ),
  units: (
    <>
      <path d="M40 46V16a6 6 0 0 1 12 0v30a10 10 0 1 1-12 0z" />
      <path d="M46 54V28" stroke={HEAT} strokeWidth="5" />
      <path d="M68 14h20v52H68zM68 24h8M68 34h12M68 44h8M68 54h12" />
    </>
  ),
  survey: (
    <>
      <rect x="18" y="12" width="62" height="56" />
      {dots([
        [28, 22],
        [49, 22],
        [70, 22],
        [28, 40],
        [49, 40],
        [70, 40],
        [28, 58],
        [49, 58],
        [70, 58],
      ])}
      <path d="M108 18L74 38M104 12l10 10" />
    </>
  ),
  sheet: (
    <>
      <path d={SHEET} />
      <path d="M46 56h20l20-20v30H66z" fill={ACCENT} stroke="none" opacity="0.4" />
      <path d="M44 26h32M44 36h22M44 46h14" />
    </>
  ),
  order: (
    <>
      <path d={TEE} />
      <path d="M92 20h14M92 34h14M92 48h14" />
      <path d="M54 44h12M60 38v12" stroke={ACCENT} strokeWidth="3" />
    </>
  ),
  card: (
    <>
      <rect x="24" y="10" width="72" height="60" rx="3" />
      <circle cx="40" cy="28" r="9" fill={ACCENT} stroke="none" />
      <path d="M58 24h26M58 34h18M34 48h52M34 58h38" />
    </>
  ),
  piece: (
    <>
      <path d={TEE} />
      <path d="M50 44l8 8 14-18" stroke={ACCENT} strokeWidth="4" />
    </>
  ),
  lamp: (
    <>
      <circle cx="24" cy="40" r="12" fill={ACCENT} stroke="none" />
      <circle cx="60" cy="40" r="12" />
      <path d="M60 28a12 12 0 0 1 0 24z" fill="var(--color-amber)" />
      <rect x="84" y="28" width="24" height="24" fill={HEAT} />
      <path d="M84 36h24M84 44h24" stroke="var(--color-on-brick)" strokeWidth="3.5" strokeLinecap="butt" />
    </>
  ),
  rail: (
    <>
      <rect x="10" y="10" width="100" height="60" rx="3" />
      <path d="M10 54h100M44 54v16M78 54v16" />
      <path d="M18 62h16M52 62h18" stroke={ACCENT} strokeWidth="4" />
    </>
  ),
  peel: (
    <>
      <path d="M14 62h92" />
      <path d="M30 58h34" stroke={ACCENT} strokeWidth="5" />
      <path d="M30 54h36q26-4 30-36l-8 6m8-6l6 8" />
    </>
  ),
  marry: (
    <>
      <path d="M28 30h64M28 50h64" />
      <path d="M36 34h48" stroke={ACCENT} strokeWidth="5" />
      <path d="M60 8v14m-5-5l5 6 5-6M60 72V58m-5 5l5-6 5 6" />
    </>
  ),
  tack: (
    <>
      <path d="M18 60h84M30 52h60" />
      <path d="M34 56h52" stroke={ACCENT} strokeWidth="3" />
      <rect x="30" y="22" width="60" height="8" fill={ACCENT} stroke="none" />
      {waves(34)}
    </>
  ),
  lay: (
    <>
      <rect x="16" y="10" width="88" height="60" strokeDasharray="4 3" />
      <path d="M42 24l6-5q12 8 24 0l6 5 10 9-7 7-5-4v26H44V36l-5 4-7-7z" />
      <rect x="52" y="38" width="16" height="14" fill={ACCENT} stroke="none" />
    </>
  ),
  prepress: (
    <>
      <path d="M14 64h92" />
      <path d="M24 58q12-10 24 0t24 0 24 0" />
      <rect x="28" y="20" width="64" height="9" fill={ACCENT} stroke="none" />
      {waves(34)}
    </>
  ),
  dwell: (
    <>
      <circle cx="60" cy="42" r="26" />
      <path d="M60 42V24M60 42l12 8M54 8h12M60 8v8" />
      <path d="M60 16a26 26 0 0 1 25 32" stroke={ACCENT} strokeWidth="5" />
    </>
  ),
  pillow: (
    <>
      <path d="M12 68h96M22 62q38-16 76 0z" />
      <path d="M20 46h80" strokeWidth="4" />
      <rect x="28" y="12" width="64" height="9" fill={ACCENT} stroke="none" />
      <path d="M34 42v8M44 42v8M54 42v8M64 42v8M74 42v8M84 42v8" />
    </>
  ),
  base: (
    <>
      <path d="M22 62h76v8H22z" fill={ACCENT} stroke="none" />
      <path d="M22 56h76M30 50h60" />
      <rect x="28" y="14" width="64" height="9" />
      <path d="M60 70v8" />
    </>
  ),
  cover: (
    <>
      <path d="M18 62h84M30 54h60" />
      <path d="M16 44q44-10 88 0" stroke={ACCENT} strokeWidth="4" />
      <rect x="28" y="14" width="64" height="9" />
      {waves(26)}
    </>
  ),
  band: (
    <>
      <path d="M16 66h88" />
      <path d="M24 62V52M48 62V42M72 62V30M96 62V16" stroke={ACCENT} strokeWidth="9" />
    </>
  ),
  carrier: (
    <>
      <path d="M20 50h80" />
      <path d="M32 55h18M62 55h24" stroke={ACCENT} strokeWidth="5" />
      <path d="M14 66h92M60 40V24m0 0h18" />
    </>
  ),
  parcel: (
    <>
      <path d="M24 28l36-14 36 14v32L60 74 24 60zM24 28l36 14 36-14M60 42v32" />
      <path d="M42 21l36 14" stroke={ACCENT} strokeWidth="4" />
    </>
  ),
  record: (
    <>
      <path d="M18 20h84M18 40h84M18 60h84" />
      {dots(
        [
          [26, 13],
          [26, 33],
          [26, 53],
        ],
        4,
      )}
      <path d="M38 13h40M38 33h30M38 53h46" strokeWidth="3" />
    </>
  ),
  stack: (
    <>
      <rect x="26" y="12" width="68" height="9" fill={HEAT} stroke="none" />
      <path d="M26 28h68M26 46h68" />
      <path d="M26 37h68" stroke={ACCENT} strokeWidth="6" />
      <path d="M26 56h68v12H26z" />
    </>
  ),
  batch: (
    <>
      <path d="M12 22l5-4q7 5 14 0l5 4 8 7-6 6-4-3v26H14V32l-4 3-6-6zM74 22l5-4q7 5 14 0l5 4 8 7-6 6-4-3v26H76V32l-4 3-6-6z" />
      <path d="M46 44h16m-5-5l6 5-6 5" stroke={ACCENT} strokeWidth="3" />
    </>
  ),
  blank: <path d={TEE} />,
  platen: (
    <>
      <path d="M18 26h84v16H18z" fill={ACCENT} stroke="none" />
      <path d="M60 26V8M40 8h40" />
      {waves(50, 26, 98)}
    </>
  ),
  layback: (
    <>
      <path d="M14 62h92" />
      <path d="M30 58h60" stroke={ACCENT} strokeWidth="5" />
      <path d="M96 16q-6 32-34 36H32m8-6l-8 6 8 6" />
    </>
  ),
  designs: (
    <>
      <path d={TEE} />
      <circle cx="54" cy="34" r="6" fill={ACCENT} stroke="none" />
      <path d="M52 50h18v9H52z" fill={ACCENT} stroke="none" />
    </>
  ),
  window: (
    <>
      <path d="M12 40h96" />
      <rect x="44" y="32" width="34" height="16" fill={ACCENT} stroke="none" opacity="0.5" />
      <path d="M50 24h-8v32h8M72 24h8v32h-8" strokeWidth="3" />
      <path d="M60 22v-8m-4 4l4 4 4-4" />
    </>
  ),
  weed: (
    <>
      <path d={SHEET} />
      <path d="M46 54l14-30 14 30M51 44h18" stroke={ACCENT} strokeWidth="4" />
      <path d="M86 14l14-6M92 26l16-4" />
    </>
  ),
} satisfies Record<string, ReactNode>;

export type DrawingName = keyof typeof DRAWINGS;

/** Whether there is a drawing of this name. */
export const isDrawn = (name: string): name is DrawingName => Object.hasOwn(DRAWINGS, name);

/** Seen, never read out: the words beside it say the same. */
export const Drawing = ({ of, width = 120 }: { of: DrawingName; width?: number }) => (
  <svg
    viewBox="0 0 120 80"
    width={width}
    height={(width * 2) / 3}
    aria-hidden="true"
    fill="none"
    stroke="currentColor"
    strokeWidth="2.2"
    strokeLinejoin="round"
    strokeLinecap="round"
    className="max-w-full shrink-0"
  >
    {DRAWINGS[of]}
  </svg>
);
