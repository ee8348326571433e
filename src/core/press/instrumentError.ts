/** How far each instrument may be wrong; apart from the schemas, for pages that want the figures alone. */
import type { Instrument } from './instrument';

/** Standard uncertainties of an instrument, K. */
export interface InstrumentError {
  /** The same in all its readings: averaging does not shrink it, differences do not show it. */
  commonK: number;
  /** Afresh in each reading. */
  scatterK: number;
}

const PROBE_K = { total: 1.5, common: 1 } as const;
/** Differences between two points are good to about 2 K, so each reading scatters by 2/√2. */
const INFRARED_K = { common: 5.5, difference: 2 } as const;

/** Readings of an even platen fall into one step of a strip and are then wrong together: this share of its error is common. */
const STRIP_SHARED = 0.4;

/**
 * How far an instrument may be wrong. A strip's steps are spread evenly: step ÷ √12.
 *
 * @returns standard uncertainties, K: common to all readings, and afresh in each
 * @see JCGM 100:2008, 4.3.7 (rectangular distribution)
 */
export function instrumentError(instrument: Instrument): InstrumentError {
  switch (instrument.kind) {
    case 'probe':
      return { commonK: PROBE_K.common, scatterK: Math.sqrt(PROBE_K.total ** 2 - PROBE_K.common ** 2) };
    case 'strip':
      return { commonK: (STRIP_SHARED * instrument.stepK) / Math.sqrt(12), scatterK: instrument.stepK / Math.sqrt(12) };
    case 'infrared':
      return { commonK: INFRARED_K.common, scatterK: INFRARED_K.difference / Math.SQRT2 };
  }
}
