/** Why something did not go through, in words, beside where it was asked for; nothing while there is no fault. */
import { errorWords } from './query';

export function Fault({ of, className = 'text-brick', more = '' }: { of: unknown; className?: string; more?: string }) {
  if (!of) return null;
  return (
    <p role="alert" className={className}>
      {errorWords(of)}
      {more && ` ${more}`}
    </p>
  );
}
