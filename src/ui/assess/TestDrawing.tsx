/** Each test as a small drawing: the sawn edge of a board, and what is done to it. */
import type { AssessTestCode } from '@/core/assess/tests'

const board = 'M6 92V70A16 16 0 0 1 22 54H154V92Z'
const drawings: Record<AssessTestCode, React.ReactNode> = {
  look: (
    <>
      <path d="M148 10L70 48M148 10L104 50M148 10L136 50" stroke="var(--now)" strokeWidth="3" strokeDasharray="7 5" />
      <circle cx="148" cy="10" r="7" fill="var(--now)" />
    </>
  ),
  spirits: (
    <>
      <path d="M66 14H118L110 40H74Z" fill="var(--sheet)" stroke="var(--ink)" strokeWidth="2" />
      <path d="M52 52C70 42 100 62 132 48" stroke="#a65f23" strokeWidth="6" strokeLinecap="round" fill="none" />
    </>
  ),
  alcohol: (
    <>
      <path d="M50 30L128 18L136 46L58 54Z" fill="var(--sheet)" stroke="var(--ink)" strokeWidth="2" />
      <path d="M78 44C92 34 104 44 118 36" stroke="#3d5661" strokeWidth="6" strokeLinecap="round" fill="none" />
    </>
  ),
  thinner: (
    <>
      <path d="M92 8C102 24 108 30 108 38A16 16 0 0 1 76 38C76 30 82 24 92 8Z" fill="var(--late)" fillOpacity="0.75" />
      <path d="M64 54Q92 44 120 54" stroke="var(--ink)" strokeWidth="3" fill="none" />
    </>
  ),
  'oil-drop': (
    <>
      <path d="M62 54A22 20 0 0 1 106 54Z" fill="#c2a05f" stroke="var(--ink)" strokeWidth="2" />
      <path d="M118 54C122 70 138 70 142 54Z" fill="#8a5f2c" />
    </>
  ),
  'water-drop': (
    <>
      <path d="M56 54A20 18 0 0 1 96 54Z" fill="#9fc0cf" stroke="var(--ink)" strokeWidth="2" />
      <ellipse cx="126" cy="55" rx="20" ry="4" fill="#3b2c20" />
    </>
  ),
  smell: (
    <path
      d="M60 46C60 30 70 30 70 42V20C70 14 78 14 78 20V38 16C78 10 86 10 86 16V38 18C86 12 94 12 94 18V40 26C94 20 102 20 102 26V46C102 54 60 54 60 46Z"
      fill="var(--sheet)"
      stroke="var(--ink)"
      strokeWidth="2"
    />
  ),
}

export function TestDrawing({ test, className }: { test: AssessTestCode; className?: string }) {
  return (
    <svg viewBox="0 0 160 96" className={className} aria-hidden>
      <path d={board} fill="#c49a6c" stroke="var(--ink)" strokeWidth="1.5" />
      <path d="M30 92C50 76 100 70 154 66M60 92C80 82 120 80 154 78" stroke="#7d5c38" fill="none" />
      {drawings[test]}
    </svg>
  )
}
