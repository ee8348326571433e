import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { isWhole, runs } from '../../../test/runs';
import { inputs } from '../../../test/shops';
import { prepared } from '../draft';
import { dwells } from '../press';
import { type Judgement, judge, LAW } from '.';

/** Random shops with neither time nor temperature chosen, kept or tested, and heat from above. */
const free = inputs.map((input) => {
  const { setC: _, timeS: _t, heat: _h, ...choices } = input.print.choices;
  return prepared({ ...input, tested: [], house: { ...input.house, settings: [] }, print: { ...input.print, choices } });
});

const isMoved = ({ reasons }: Judgement): boolean =>
  reasons.some(({ says }) => says.some((part) => typeof part === 'string' && part.startsWith('Time and temperature')));

describe('temperature and time together', () => {
  it('a piece is Care only where no time of its sheet is Clear, and leaves the sheet’s own time only for a Clear', () => {
    let [moved, searched] = [0, 0];
    fc.assert(
      fc.property(free, (input) => {
        const judged = judge(input, LAW);
        if (isMoved(judged)) {
          moved++;
          expect(judged.lamp.state).toBe('clear');
        }
        const ofPress = judged.lamp.findings.every(({ from, closing }) => closing === undefined && (from === 'margin' || from === 'bond'));
        const stage = judged.draft.sheet.stages.find(({ kind }) => kind === 'press');
        if (judged.lamp.state !== 'care' || !ofPress || !stage) return;
        const { timerStepS: step = 1 } = input.press;
        const { min, max } = dwells(input.press, stage.timeS);
        if ((max - min) / step > 12) return;
        searched++;
        // the slow way: every time chosen by hand and the whole piece judged
        for (let timeS = min; timeS <= max + 1e-9; timeS += step)
          expect(judge({ ...input, print: { ...input.print, choices: { ...input.print.choices, timeS } } }, LAW).lamp.state).not.toBe(
            'clear',
          );
      }),
      runs(4000),
    );
    if (!isWhole) return;
    expect(searched).toBeGreaterThan(10);
    expect(moved).toBeGreaterThan(2);
  });
});
