/** All that a card is worked out from. */
import type { House } from '../house';
import type { Aid, Blank, Fabric, Position } from '../materials';
import { type Print, pressingOrder, type RosterEntry } from '../order';
import type { FoundCheck, FoundSlips, PlatenMap, Press, Surface, UseSince } from '../press';
import type { Product, Tested } from '../sheet';
import type { LearnedShift } from './learnedShift';
import type { Pose } from './pose';

export interface ResolveInput {
  print: Print;
  item: {
    size: string;
    roster: readonly RosterEntry[];
    perClosing: number;
    /** Blanks of other lines in the same closing, with the thickness of each, mm. */
    together: readonly { name: string; thicknessMm: number }[];
    /** Prints already on the piece when this one is pressed. */
    before: readonly { position: Position; productName: string; mostC: number }[];
  };
  blank: Blank;
  fabric: Fabric;
  /** The transfer that gets the full press: the top layer. */
  product: Product;
  /** Transfers of the layers under it, in pressing order. */
  under: readonly Product[];
  press: Press;
  house: House;
  aids: readonly Aid[];
  /** Surveys of any press of the shop, the latest of each platen. */
  maps?: readonly PlatenMap[];
  /** The last slips of paper pulled at any press of the shop. */
  slips?: readonly FoundSlips[];
  /** The day it is, ISO: what was measured long ago is known less well; absent: as on the day it was measured. */
  today?: string;
  /** What presses have been through since they were measured. */
  uses?: readonly UseSince[];
  /** The last quick check of each platen since its survey. */
  checks?: readonly FoundCheck[];
  /** Tested settings of the shop, and the presses they were made on. */
  tested?: readonly Tested[];
  presses?: readonly Press[];
  /** Of any press and transfer of the shop; what was removed is not in it. */
  learned?: readonly LearnedShift[];
}

/** The same with its print placed, its piece laid, and its press read off its map there: what every judgement starts from. */
export interface PreparedInput extends ResolveInput {
  pose: Pose;
  /** What the press delivers under the art. */
  surface: Surface;
}

/** A transfer with the colour of it that lies in a layer. */
export const layerName = ({ productName, colour }: { productName: string; colour: string | null }): string =>
  colour ? `${productName} in ${colour}` : productName;

/** Every layer of the print in pressing order, the top one last. */
export function layersOf({ print, product, under }: Pick<ResolveInput, 'print' | 'product' | 'under'>) {
  const colours = (pressingOrder(print.layers) ?? print.layers).map((layer) => layer.colour ?? null);
  return [...under, product].map((product, i) => ({ productId: product.id, productName: product.name, colour: colours[i] ?? null }));
}
