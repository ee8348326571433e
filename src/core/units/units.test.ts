import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { runs } from '../../../test/runs';
import {
  contact,
  formatDuration,
  formatFigure,
  formatForHouse,
  formatQuantity,
  formatTape,
  type HouseUnits,
  line,
  mm,
  type Parsed,
  type Phrase,
  PhraseSchema,
  parseQuantity,
  phrase,
  phraseText,
  seconds,
  setTemp,
  snap,
  temp,
  tempDiff,
  toInside,
  toShown,
  UNITS,
  type UnitId,
} from './index';

const value = (p: Parsed) => (p.state === 'ok' ? p.value : p);
const INCH = { temperature: 'F', length: 'in', linePressure: 'psi' } as const;

describe('typing a quantity', () => {
  it.each([
    ['temperature', '300f', 'C', 148.888888],
    ['temperature', '150c', 'F', 150],
    ['temperature', '150', 'C', 150],
    ['temperature', ' 302 °F ', 'C', 150],
    ['length', '2 1/2 in', 'mm', 63.5],
    ['length', '2.5in', 'mm', 63.5],
    ['length', '3½ in', 'mm', 88.9],
    ['length', '3 ⅝"', 'mm', 92.075],
    ['length', '¾in', 'mm', 19.05],
    ['length', '1/4"', 'mm', 6.35],
    ['length', '64mm', 'in', 64],
    ['length', '6,4cm', 'in', 64],
    ['linePressure', '40psi', 'bar', 275.790292],
    ['linePressure', '2.8bar', 'psi', 280],
    ['contactPressure', '20kpa', 'psiContact', 20],
    ['duration', '1:30', 's', 90],
    ['duration', '90s', 's', 90],
    ['duration', '1.5 min', 's', 90],
    ['duration', '1 min 30 s', 's', 90],
    ['temperatureDifference', '-9f', 'dC', -5],
  ] as const)('%s “%s” in a house of %s', (kind, text, unit, expected) => {
    expect(value(parseQuantity(kind, text, { unit }))).toBeCloseTo(expected, 5);
  });

  it('asks about a bare 150 in any field that goes up to what presses do, and not in one for the room', () => {
    expect(parseQuantity('temperature', '150', { unit: 'F', min: 0, max: 260 })).toMatchObject({
      state: 'ask',
      instead: { value: 150, unit: 'C' },
    });
    expect(parseQuantity('temperature', '300', { unit: 'F', min: 0, max: 260 })).toMatchObject({ state: 'ok' });
    expect(parseQuantity('temperature', '70', { unit: 'F', min: 0, max: 260 })).toMatchObject({ state: 'ok' });
    expect(parseQuantity('temperature', '100', { unit: 'F', min: -5, max: 50 })).toMatchObject({ state: 'ok' });
  });

  it('asks about a bare 12 of canvas, which is in ounces, and a bare 340 in a house of ounces', () => {
    const usual = { low: 30, high: 1600 };
    expect(parseQuantity('arealMass', '12', { unit: 'gsm', usual })).toMatchObject({ state: 'ask', instead: { unit: 'ozYd2' } });
    expect(parseQuantity('arealMass', '340', { unit: 'ozYd2', usual })).toMatchObject({
      state: 'ask',
      instead: { value: 340, unit: 'gsm' },
    });
    // an ounce is 28.3495 g, a square yard 0.83613 m²
    expect(value(parseQuantity('arealMass', '12 oz', { unit: 'gsm', usual }))).toBeCloseTo(406.9, 1);
    expect(value(parseQuantity('arealMass', '180', { unit: 'gsm', usual }))).toBe(180);
    expect(formatForHouse('arealMass', 407, INCH).replaceAll('\u00a0', ' ')).toBe('12.0 oz/yd²');
  });
  it('asks about 320 where Celsius is meant, and takes 320f without asking', () => {
    const usual = { low: 90, high: 230 };
    const asked = parseQuantity('temperature', '320', { unit: 'C', usual, max: 260 });
    expect(asked).toMatchObject({ state: 'ask', typed: { value: 320 }, instead: { value: 160, unit: 'F' } });
    expect(parseQuantity('temperature', '320f', { unit: 'C', usual, max: 260 })).toMatchObject({ state: 'ok', value: 160 });
    expect(parseQuantity('temperature', '150', { unit: 'F', usual, max: 260 })).toMatchObject({
      state: 'ask',
      instead: { value: 150, unit: 'C' },
    });
  });

  it.each([
    ['temperature', 'hot', 'is not a temperature'],
    ['temperature', '', 'Type a temperature'],
    ['temperature', '150 psi', 'is not a unit'],
    ['temperature', '900c', 'Too high: 260\u00a0°C'],
    ['length', '-4mm', 'less than zero'],
    ['length', '1/0 in', 'is not a length'],
    ['length', '1,000mm', 'comma'],
    ['duration', '1:75', 'is not a unit'],
  ] as const)('refuses %s “%s” in words', (kind, text, words) => {
    const parsed = parseQuantity(kind, text, {
      unit: kind === 'length' ? 'mm' : kind === 'duration' ? 's' : 'C',
      ...(kind === 'temperature' ? { max: 260 } : {}),
    });
    expect(parsed.state).toBe('bad');
    expect(parsed.state === 'bad' && parsed.message).toContain(words);
  });

  it('takes less than zero where a field says it may be: to the left, towards the back', () => {
    expect(parseQuantity('length', '-12cm', { unit: 'in', min: -1000, max: 1000 })).toEqual({ state: 'ok', value: -120, unit: 'cm' });
    expect(parseQuantity('length', '−2in', { unit: 'mm', min: -1000 })).toMatchObject({ state: 'ok', value: -50.8 });
    expect(parseQuantity('length', '-2000mm', { unit: 'mm', min: -1000, max: 1000 }).state).toBe('bad');
  });

  it('never throws on any text', () => {
    fc.assert(
      fc.property(fc.string(), (text) => {
        expect(['ok', 'ask', 'bad']).toContain(parseQuantity('temperature', text, { unit: 'F' }).state);
      }),
    );
  });
});

describe('showing a quantity', () => {
  it('reads back exactly what it shows, in every unit, on that unit’s own grid', () => {
    const units = Object.keys(UNITS) as UnitId[];
    fc.assert(
      fc.property(fc.constantFrom(...units), fc.integer({ min: 0, max: 5000 }), (unit, n) => {
        const { decimals, kind } = UNITS[unit];
        const inside = toInside(n / 10 ** decimals, unit);
        const text = formatQuantity(inside, unit);
        const back = parseQuantity(kind, text, { unit });
        expect(back.state === 'ok' && formatQuantity(back.value, unit)).toBe(text);
        expect(value(back)).toBeCloseTo(inside, 9);
      }),
      runs(8000),
    );
  });

  it('goes there and back without drift', () => {
    fc.assert(
      fc.property(fc.integer({ min: 60, max: 500 }), (f) => {
        let c = toInside(f, 'F');
        for (let i = 0; i < 50; i++) c = toInside(Number(toShown(c, 'F').toFixed(6)), 'F');
        expect(Math.round(toShown(c, 'F'))).toBe(f);
      }),
    );
  });

  it('never shows minus zero, and keeps a true minus', () => {
    expect(formatFigure(-0.04, 'dC')).toBe('0.0');
    expect(formatFigure(-3, 'dC')).toBe('−3.0');
  });

  it('shows time as a clock and the house’s own units first', () => {
    expect([formatDuration(9), formatDuration(59.6), formatDuration(90)]).toEqual(['9\u00a0s', '1:00', '1:30']);
    expect(formatForHouse('temperature', 150, INCH)).toBe('302\u00a0°F');
    expect(formatForHouse('temperatureDifference', 5, INCH, 0)).toBe('9\u00a0°F');
    expect(formatForHouse('linePressure', 275.79, INCH)).toBe('40\u00a0psi');
  });

  it('snaps to the step a press is set in', () => {
    expect(formatQuantity(snap(150.4, 'F', 5), 'F')).toBe('305\u00a0°F');
    expect(snap(150.4, 'C', 1)).toBe(150);
  });
});

describe('sentences with quantities', () => {
  const says = phrase`Hold ${temp(150)}, ${tempDiff(5)} either way, for ${seconds(9)}, ${mm(50)} below; set ${setTemp(150, 'C')}.`;
  const plain = (words: Phrase, house: HouseUnits) => phraseText(words, house).replaceAll('\u00a0', ' ');
  it('read in the house’s units, but a press in its own', () => {
    expect(plain(says, INCH)).toBe('Hold 302 °F, 9 °F either way, for 9 s, 2.0 in below; set 150 °C.');
    expect(plain(says, { temperature: 'C', length: 'mm', linePressure: 'bar' })).toBe(
      'Hold 150 °C, 5 K either way, for 9 s, 50 mm below; set 150 °C.',
    );
  });
  it('stand inside one another, and survive being stored', () => {
    const outer = phrase`First: ${says} Then ${contact(20)} of contact, ${line(300)} in the line.`;
    expect(PhraseSchema.parse(JSON.parse(JSON.stringify(outer)))).toEqual(outer);
    expect(plain(outer, INCH)).toMatch(/^First: Hold 302 °F.* Then 2.9 psi of contact, 44 psi in the line\.$/);
  });
});

describe('a tape', () => {
  const inches = { length: 'in' } as const;
  const tape = (mm: number) => formatTape(mm, inches).replaceAll('\u00a0', ' ');
  it('shows inches in eighths, halves and quarters, and never a fraction of nothing', () => {
    expect([25.4, 60, 12.7, 3.2, 0, 19.05].map(tape)).toEqual(['1 in', '2 3/8 in', '1/2 in', '1/8 in', '0 in', '3/4 in']);
    expect([tape(-6.35), tape(-0.2), tape(25.3)]).toEqual(['−1/4 in', '0 in', '1 in']);
  });
  it('shows whole millimetres', () => expect(formatTape(59.6, { length: 'mm' }).replaceAll('\u00a0', ' ')).toBe('60 mm'));
});
