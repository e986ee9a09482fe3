/** What a camera reads: dark on light in both themes. */
export const QrCode = ({ size, path, label }: { size: number; path: string; label: string }) => (
  <svg viewBox={`0 0 ${size} ${size}`} className="size-52 shrink-0 bg-white" role="img" aria-label={label}>
    <path d={path} fill="#000" />
  </svg>
)
