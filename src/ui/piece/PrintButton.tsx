'use client'
export function PrintButton() {
  return (
    <button type="button" className="press press-now" onClick={() => window.print()}>
      Print it
    </button>
  )
}
