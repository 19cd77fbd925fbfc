/** The picture of a school that has none of its own yet: a house with its door open, and a boat in it. */
export function Boathouse({ className }: { className: string | undefined }) {
  return (
    <svg className={className} viewBox="0 0 340 170" preserveAspectRatio="xMidYMid slice" aria-hidden>
      <rect width="340" height="170" fill="var(--paper)" />
      <path d="M40 170 V84 L170 22 L300 84 V170" fill="var(--line)" />
      <path d="M126 170 V112 a44 44 0 0 1 88 0 V170" fill="var(--card)" stroke="var(--verdigris)" strokeWidth="5" />
      <path d="M142 150 C 154 168, 188 168, 200 148" fill="none" stroke="var(--brass)" strokeWidth="6" />
      <path d="M0 168 H340" stroke="var(--ink)" strokeWidth="3" />
    </svg>
  );
}
