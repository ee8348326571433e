/** Where the tape is laid for each measure of a cut, on the panel’s own drawing, mm. */
import type { BlankMeasures } from '../materials';
import { type Point, point } from './geometry';
import { bodyLines } from './outline';

type Lines = Record<string, readonly [Point, Point]>;

function bodyTapes(blank: BlankMeasures): Lines {
  const { neckHalf, drop, shoulderTip, underArm, hemY } = bodyLines(blank, 'front');
  const sleeve = blank.measures.sleeve ?? 0;
  return {
    chest: [point(-underArm.x, underArm.y + 25), point(underArm.x, underArm.y + 25)],
    length: [point(neckHalf, 0), point(neckHalf, hemY)],
    neck: [point(-neckHalf, 0), point(neckHalf, 0)],
    frontDrop: [point(0, 0), point(0, drop)],
    shoulder: [point(-shoulderTip.x, shoulderTip.y), point(shoulderTip.x, shoulderTip.y)],
    sleeve: [shoulderTip, point(shoulderTip.x + sleeve * 0.73, shoulderTip.y + sleeve * 0.68)],
  };
}

/** The tape of each measure; measures that are not drawn have none. */
export function measureLines(blank: BlankMeasures): Lines {
  const m = (name: string) => blank.measures[name] ?? 0;
  const across = (y: number, width: number): readonly [Point, Point] => [point(-width / 2, y), point(width / 2, y)];
  const down = (x: number, from: number, to: number): readonly [Point, Point] => [point(x, from), point(x, to)];
  switch (blank.shape) {
    case 'body':
      return bodyTapes(blank);
    case 'legs':
      return {
        waist: across(0, m('waist') / 2),
        hip: across(m('rise') * 0.8, m('hip') / 2),
        length: down(m('hem') / 2, 0, m('length')),
        rise: down(0, 0, m('rise')),
        hem: across(m('length'), m('hem')),
        waistband: down(-m('waist') / 4, 0, m('waistband')),
      };
    case 'apron':
      return {
        bib: across(0, m('bib')),
        bibHeight: down(0, 0, m('bibHeight')),
        width: across(m('bibHeight'), m('width')),
        length: down(-20, 0, m('length')),
        strap: [point(m('bib') / 2 - m('strap'), 20), point(m('bib') / 2, 20)],
        topHem: down(20, 0, m('topHem')),
      };
    case 'tote':
      return {
        width: across(m('height') / 2, m('width')),
        height: down(0, 0, m('height')),
        topHem: down(20, 0, m('topHem')),
        strap: [point(m('width') / 2 - m('strapFrom') - m('strap'), 20), point(m('width') / 2 - m('strapFrom'), 20)],
        strapFrom: [point(m('width') / 2 - m('strapFrom'), 30), point(m('width') / 2, 30)],
        strapFoot: down(m('width') / 2 - m('strapFrom'), 0, m('strapFoot')),
      };
    case 'cap':
      return { crown: down(0, 0, m('crown')), front: across(m('crown'), m('front')), top: across(0, m('top')) };
    case 'sheet':
      return {
        width: across(m('height') / 2, m('width')),
        height: down(0, 0, m('height')),
        bevel: [point(-m('width') / 2, m('height') / 3), point(-m('width') / 2 + m('bevel'), m('height') / 3)],
        hole: across(m('holeFrom'), m('hole')),
        holeFrom: down(0, 0, m('holeFrom')),
        pocket: down(-m('width') / 4, m('height') - m('pocket'), m('height')),
      };
    case 'round':
      return { width: across(m('width') / 2, m('width')), hole: across(m('holeFrom'), m('hole')), holeFrom: down(0, 0, m('holeFrom')) };
  }
}
