/** Lists of people: read for a line and for several garments, with every fault named where it stands. */
import { describe, expect, it } from 'vitest';
import { readKit, readRoster } from './rosterCsv';

const SHIRT = { name: 'crew tee', sizes: ['S', 'M', 'L'] };
const SHORTS = { name: 'shorts', sizes: ['S', 'M'] };
const kit = (text: string) => readKit(text, [SHIRT, SHORTS]);

describe('a list of people over garments', () => {
  it('is read without a heading: number, name, then the garments in their order; a dash is none', () =>
    expect(kit('7, Ines, m, S\n9; Toma; L; -')).toEqual({
      people: [
        { number: '7', name: 'Ines', sizes: ['M', 'S'] },
        { number: '9', name: 'Toma', sizes: ['L', null] },
      ],
      faults: [],
      shared: [],
    }));

  it.each([
    ['the garments under their names, wherever they stand', 'Shorts,Crew tee,Number,Name\nS,M,7,Ines'],
    ['names before numbers', 'Ines,7,M,S'],
    ['a tab between', '7\tInes\tM\tS'],
  ])('%s', (_, text) => expect(kit(text).people).toEqual([{ number: '7', name: 'Ines', sizes: ['M', 'S'] }]));

  it('a garment of one size is ticked', () =>
    expect(readKit('7,Ines,x\n9,Toma,-\n11,Ada,one size', [{ name: 'cap', sizes: ['one size'] }])).toMatchObject({
      people: [{ sizes: ['one size'] }, { sizes: [null] }, { sizes: ['one size'] }],
      faults: [{ line: 2 }],
    }));

  it('of names alone', () => expect(kit('Ines,M,S').people).toEqual([{ number: '', name: 'Ines', sizes: ['M', 'S'] }]));

  it('a number on two people is asked about; one person twice, a size that is none, and nobody at all are faults', () => {
    expect(kit('7,Ines,M,S\n7,Toma,M,S')).toMatchObject({ faults: [], shared: [{ number: '7', lines: [1, 2] }] });
    const faults = (text: string) => kit(text).faults.map(({ line, message }) => `${line}: ${message}`);
    expect(faults('7,Ines,M,S\n7,Ines,L,S')).toEqual(['2: 7 Ines stands already on line 1.']);
    expect(faults('7,Ines,XXL,S')).toEqual(['1: XXL is no size of crew tee: S, M, L.']);
    expect(faults('7,Ines,-,')).toEqual(['1: 7 Ines has no size of any garment.']);
    expect(faults('')).toEqual(['0: There is nobody on this list.']);
    expect(faults('number,name\n1234567,Ines,M,S')[0]).toMatch(/^2: Keep a number to 6/);
  });
});

describe('a roster with a number twice', () => {
  it('names the number, and is taken once people are said to share it', () => {
    const text = '7, Ines\n7, Toma';
    expect(readRoster(text, 2).faults).toEqual([{ line: 2, message: 'Number 7 stands already on line 1.', number: '7' }]);
    expect(readRoster(text, 2, ['7'])).toMatchObject({ faults: [], roster: [{ name: 'Ines' }, { name: 'Toma' }] });
  });
});
