import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { allowedTemp, allowedTime, type Figure, figureOf } from './figure';
import { figureText, readFigure } from './figureText';

const TEMPS = { unit: 'C', min: 60, max: 260 } as const;
const TIMES = { unit: 's', min: 1, max: 3600 } as const;
const temp = (typed: string, unit: 'C' | 'F' = 'C') => readFigure('temperature', typed, { ...TEMPS, unit });
const time = (typed: string) => readFigure('duration', typed, TIMES);

describe('a figure as a sheet writes it', () => {
  it.each<[string, Figure]>([
    ['160', { form: 'one', value: 160 }],
    ['about 160 °C', { form: 'one', value: 160, about: true }],
    ['160 ± 5', { form: 'tolerance', value: 160, plusMinus: 5 }],
    ['160+/-5', { form: 'tolerance', value: 160, plusMinus: 5 }],
    ['155–165', { form: 'range', min: 155, max: 165 }],
    ['155 to 165 c', { form: 'range', min: 155, max: 165 }],
    ['155-165, start 160', { form: 'range', min: 155, max: 165, start: 160 }],
    ['155–165 start at 158', { form: 'range', min: 155, max: 165, start: 158 }],
  ])('“%s”', (typed, figure) => expect(temp(typed)).toMatchObject({ state: 'ok', figure }));
  it('a unit behind the last figure is that of all of them; a tolerance in °F is a stretch, not a temperature', () => {
    expect(temp('302-320f')).toMatchObject({ figure: { form: 'range', min: 150, max: 160 } });
    expect(temp('320 ± 9', 'F')).toMatchObject({ figure: { form: 'tolerance', value: 160, plusMinus: 5 } });
  });
  it('a bare figure that a press is set to only in the other unit is asked about, not taken', () => {
    expect(temp('155', 'F')).toMatchObject({ state: 'bad', message: expect.stringMatching(/155 °F, or did you mean 155 °C\?/) });
    expect(temp('155 c', 'F')).toMatchObject({ state: 'ok', figure: { form: 'one', value: 155 } });
  });
  it('times may be clocks', () => {
    expect(time('1:30-2:00')).toMatchObject({ figure: { form: 'range', min: 90, max: 120 } });
    expect(time('12 s')).toMatchObject({ figure: { form: 'one', value: 12 } });
  });
  it.each([
    ['', /Type it as the sheet has it/],
    ['warm', /is not a temperature/],
    ['155–165 ± 5', /A range and a tolerance at once/],
    ['160 start 158', /A start belongs to a range/],
    ['160 ±', /is not a tolerance/],
    ['320', /did you mean 320 °F\? Type the unit with it/],
    ['155–320', /did you mean 320 °F/],
  ])('“%s” is refused in words', (typed, words) =>
    expect(temp(typed)).toMatchObject({ state: 'bad', message: expect.stringMatching(words) }),
  );

  const whole = (low: number, high: number) => fc.integer({ min: low, max: high });
  const figures: fc.Arbitrary<Figure> = fc.oneof(
    whole(60, 260).map((value) => ({ form: 'one' as const, value })),
    whole(60, 260).map((value) => ({ form: 'one' as const, value, about: true as const })),
    fc.tuple(whole(60, 260), whole(1, 20)).map(([value, plusMinus]) => ({ form: 'tolerance' as const, value, plusMinus })),
    fc.tuple(whole(60, 200), whole(0, 60)).map(([min, width]) => ({ form: 'range' as const, min, max: min + width })),
    fc
      .tuple(whole(60, 200), whole(0, 30), whole(0, 30))
      .map(([min, a, b]) => ({ form: 'range' as const, min, max: min + a + b, start: min + a })),
  );
  it('is read back as it was written, every form of it', () => {
    fc.assert(
      fc.property(figures, (figure) => {
        expect(readFigure('temperature', figureText(figure, 'C'), { ...TEMPS, sure: true })).toEqual({ state: 'ok', figure, unit: 'C' });
      }),
    );
  });
});

describe('what a figure allows', () => {
  const ours = { tempK: 8, timePercent: 15 };
  it('round a single figure the allowance is ours; what the sheet says of its sides is the sheet’s', () => {
    expect(allowedTemp({ form: 'one', value: 160 }, ours)).toMatchObject({ min: 152, max: 168, nominal: 160, named: true, ours: true });
    expect(allowedTemp({ form: 'tolerance', value: 160, plusMinus: 3 }, ours)).toMatchObject({ min: 157, max: 163, ours: false });
    expect(allowedTemp({ form: 'range', min: 150, max: 160 }, ours)).toMatchObject({ nominal: 155, named: false, ours: false });
    expect(allowedTemp({ form: 'range', min: 150, max: 160, start: 152 }, ours)).toMatchObject({ nominal: 152, named: true });
  });
  it('of a time is a share of it, in whole seconds, and one second at least', () => {
    expect(allowedTime({ form: 'one', value: 60 }, ours)).toMatchObject({ min: 51, max: 69 });
    expect(allowedTime({ form: 'one', value: 4 }, ours)).toMatchObject({ min: 3, max: 5 });
  });
  it.each<[object, string, RegExp]>([
    [{ form: 'tolerance', value: 160, plusMinus: 170 }, 'plusMinus', /as wide as the figure itself/],
    [{ form: 'tolerance', value: 160, plusMinus: 0 }, 'plusMinus', /more than nothing/],
    [{ form: 'range', min: 150, max: 160, start: 170 }, 'start', /start 170 °C lies outside 150 to 160 °C/],
    [{ form: 'range', min: 170, max: 150 }, 'min', /minimum 170 °C is over the maximum 150 °C/],
    [{ form: 'one', value: 1500 }, 'value', /Above 260 °C/],
    [{ form: 'window', min: 150, max: 160 }, 'form', /./],
  ])('%j is refused at its own field', (figure, field, words) => {
    const [issue] = figureOf(60, 260, '°C').safeParse(figure).error?.issues ?? [];
    expect(issue?.path).toEqual([field]);
    expect(issue?.message).toMatch(words);
  });
});
