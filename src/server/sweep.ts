/** What nobody needs any more is swept as the server starts and once a day: folders of backups that were cut off, photos that no step names. */
import { log } from './log';
import { shop, shopPath } from './shop';
import { write } from './stores/perShop';
import { sweepPhotos } from './stores/photos';
import { sweepWork } from './workFolder';

const DAY_MS = 86_400_000;
/** The server has answered its first questions by then, ms. */
const AFTER_START_MS = 30_000;

function sweep(): void {
  try {
    const { db } = shop();
    const swept = write(db, () => sweepPhotos(db, Date.now()));
    if (swept > 0) log.info({ swept }, 'photos that no step names were let go');
  } catch (error) {
    log.warn({ err: error }, 'photos could not be swept now');
  }
}

/** Once a process. */
export function beginSweeping(): void {
  try {
    sweepWork(shopPath());
  } catch (error) {
    log.warn({ err: error }, 'what an earlier server left could not be swept');
  }
  setTimeout(sweep, AFTER_START_MS).unref();
  setInterval(sweep, DAY_MS).unref();
}
