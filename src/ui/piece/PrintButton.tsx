'use client'
export function PrintButton({ words = 'Print it', isAside = false }: { words?: string; isAside?: boolean }) {
  return (
    <button type="button" className={`press unprinted ${isAside ? '' : 'press-now'}`} onClick={() => window.print()}>
      {words}
    </button>
  )
}
