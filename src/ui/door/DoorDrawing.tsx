/** A cupboard's door, ajar: bare wood, and the first strokes of its coat. */
export function DoorDrawing({ className }: { className?: string }) {
  return (
    <svg viewBox="0 0 400 520" aria-hidden className={className}>
      {/* the carcass, and the dark inside of it */}
      <rect x="14" y="10" width="372" height="510" fill="none" stroke="var(--ink)" strokeWidth="3" />
      <rect x="40" y="36" width="320" height="484" fill="var(--well)" stroke="var(--ink)" strokeWidth="2" />
      <path d="M40 190H360M40 360H360" stroke="var(--line)" strokeWidth="3" />
      {/* the leaf, swung out a little */}
      <clipPath id="leaf">
        <path d="M40 36L322 62V520H40Z" />
      </clipPath>
      <path d="M40 36L322 62V520H40Z" fill="#c4996a" stroke="var(--ink)" strokeWidth="3" />
      <g fill="none" stroke="#9c7347" strokeWidth="1.6" clipPath="url(#leaf)">
        <path d="M58 40C70 200 52 360 66 520M74 40C92 190 70 370 84 520M300 60C286 220 306 380 294 520M312 60C300 220 320 380 308 520" />
      </g>
      {[
        [104, 256],
        [300, 500],
      ].map(([top = 0, foot = 0]) => (
        <g key={top}>
          <path d={`M98 ${top}L266 ${top + 12}V${foot}H98Z`} fill="#b98b5b" stroke="var(--ink)" strokeWidth="2.5" />
          <path d={`M118 ${top + 22}L248 ${top + 31}V${foot - 20}H118Z`} fill="#c9a175" stroke="#8d6740" strokeWidth="1.6" />
        </g>
      ))}
      {/* the coat so far: three strokes, the last one still wet */}
      <g fill="var(--now)" clipPath="url(#leaf)">
        <path d="M40 36L322 62V98C250 92 130 84 96 92V258C120 262 170 256 196 262C150 276 110 268 96 272V300C88 296 70 306 40 298Z" />
        <path d="M118 126C150 122 214 134 248 135V176C222 168 190 182 160 174C142 170 128 178 118 174Z" opacity="0.94" />
        <path d="M118 182C140 178 176 190 206 184C214 190 196 198 168 196C144 194 128 204 118 200Z" opacity="0.88" />
      </g>
      <path d="M322 62V520" stroke="var(--ink)" strokeWidth="7" />
      <circle cx="292" cy="292" r="10" fill="var(--ground)" stroke="var(--ink)" strokeWidth="3" />
    </svg>
  )
}
