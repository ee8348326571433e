/** The whole decision table. */

import type { Case } from './check';
import { CLOTH } from './cloth';
import { HARD } from './hard';
import { LAYERS } from './layers';
import { MATERIALS } from './materials';
import { PRESS_CASES } from './presses';
import { SETTINGS } from './settings';
import { TESTED } from './tested';

export const CASES: readonly Case[] = [...CLOTH, ...SETTINGS, ...HARD, ...LAYERS, ...MATERIALS, ...PRESS_CASES, ...TESTED];
