/** What stands beside or in place of the cue for a moment; fetched as a run is shown, so that the cue is there first. */
import type { ComponentProps } from 'react';
import { Aside, type AsideKind } from './Aside';
import { KeysPanel } from './KeysPanel';

export { PartingGuide } from './PartingGuide';
export { PieceChoice } from './PieceChoice';

type BesideProps = Omit<ComponentProps<typeof Aside>, 'kind'> & { what: AsideKind | 'keys' };

/** The keys, or a word, a reading or a setting that is typed in. */
export function Beside({ what, ...rest }: BesideProps) {
  return what === 'keys' ? <KeysPanel onClose={rest.onClose} /> : <Aside kind={what} {...rest} />;
}
