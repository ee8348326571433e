/** Time as a bar that drains; full and still when no clock runs. */
export function DrainingBar({ share, running }: { share: number; running: boolean }) {
  return (
    <svg width="100%" height="28" className="mt-4 block" aria-hidden="true">
      <rect x="1" y="1" width="99.8%" height="26" fill="none" stroke={running ? 'white' : 'var(--color-night-line)'} strokeWidth="2" />
      <rect x="1" y="1" width={`${(running ? share : 0) * 99.8}%`} height="26" fill="var(--color-amber)" />
    </svg>
  );
}
