declare namespace App {
  interface Locals {
    /** What a page's figures are read and shown in; null: it is no page, or the house cannot be read. */
    units: import('./core/units').HouseUnits | null;
    /** Light or dark as it was chosen in this browser; undefined: as its system has it. */
    look: 'light' | 'dark' | undefined;
    /** The port of the shop this is the sample of; null: it is a shop. */
    sampleOf: string | null;
    /** The shop is a sample, beside a shop or alone. */
    isSample: boolean;
  }
}
