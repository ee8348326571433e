/** What the lamp has against the card, in words; nothing when it is Clear. */
import type { Lamp } from '../../core/judgement';
import { LampMark } from '../../ui/Lamp';
import { Says } from '../../ui/Says';

export function LampReasons({ lamp }: { lamp: Lamp }) {
  if (lamp.findings.length === 0) return null;
  return (
    <ul className="rule-top py-2" aria-label="What the lamp says">
      {lamp.findings.map((finding) => (
        <li key={[finding.closing, finding.from, finding.rule].join(' ')} className="flex items-start gap-3 py-1">
          <span className="pt-0.5">
            <LampMark state={finding.level} size={18} />
          </span>
          <span className="max-w-[75ch]">
            <Says words={finding.says} />
          </span>
        </li>
      ))}
    </ul>
  );
}
