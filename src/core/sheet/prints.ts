/** How many prints a bought sheet gives, and what one of them costs. */
import type { Product } from './product';

/** Left between two prints on a sheet to cut them apart, mm. */
const CUT_MM = 4;

const along = (sheetMm: number, printMm: number) => Math.floor((sheetMm + CUT_MM) / (printMm + CUT_MM));

/** Prints of a size in straight rows on a sheet, all turned or none; 0: it does not fit on one. */
const printsOnSheet = (sheet: { widthMm: number; heightMm: number }, print: { widthMm: number; heightMm: number }): number =>
  Math.max(
    along(sheet.widthMm, print.widthMm) * along(sheet.heightMm, print.heightMm),
    along(sheet.widthMm, print.heightMm) * along(sheet.heightMm, print.widthMm),
  );

/** What the transfer of one print costs, in hundredths: its share of a sheet; as many sheets as its area takes where one is too small. */
export function priceOfPrint(
  { pricePerSheetMinor, sheetSize }: Pick<Product, 'pricePerSheetMinor' | 'sheetSize'>,
  print: { widthMm: number; heightMm: number },
): number {
  if (!sheetSize) return pricePerSheetMinor;
  const fit = printsOnSheet(sheetSize, print);
  if (fit > 0) return pricePerSheetMinor / fit;
  return pricePerSheetMinor * Math.ceil((print.widthMm * print.heightMm) / (sheetSize.widthMm * sheetSize.heightMm));
}
