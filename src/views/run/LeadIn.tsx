/** What comes before the first piece; fetched where a run begins. */
export { Gate } from './Gate';
export { Trial } from './Trial';
