/** Covers, pads and pillows that a new shop's shelf begins with, all to be replaced by the shop's own. */
import type { Aid } from './aid';

const aid = (id: string, name: string, serves: Aid['serves'], thicknessMm: number, substitutes: string[] = []): Aid => ({
  id,
  name,
  serves,
  thicknessMm,
  wear: 'sound',
  substitutes,
  note: '',
});

export const BUILT_IN_AIDS: readonly Aid[] = [
  aid('ptfe-sheet', 'PTFE-coated sheet', 'ptfe', 0.13, ['baking-paper']),
  aid('baking-paper', 'baking paper', 'paper', 0.08, ['ptfe-sheet']),
  aid('matte-paper', 'matte finishing paper', 'matte', 0.1, ['baking-paper']),
  aid('silicone-sheet', 'silicone sheet', 'silicone', 0.3, ['ptfe-sheet']),
  aid('firm-pad', 'firm rubber pad', 'firm pad', 3),
  aid('felt-pad', 'felt pad', 'felt', 4),
  aid('soft-pad', 'soft silicone pad', 'soft pad', 6, ['felt-pad']),
  aid('foam-pad', 'heat-proof foam', 'foam', 8, ['soft-pad']),
  aid('pillow', 'press pillow', 'pillow', 8),
];
