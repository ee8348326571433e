/** What stands beside or in place of the cue for a moment; fetched as a run is shown, so that the cue is there first. */
export { Aside } from './Aside';
export { KeysPanel } from './KeysPanel';
export { PieceChoice } from './PieceChoice';
