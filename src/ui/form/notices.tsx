'use client'
/**
 * What was answered to a form that is no longer there: it was refused, and what somebody else did meanwhile took its place on
 * the page. It is told at the head of that page until it is read, or the page is left.
 */
import { usePathname } from 'next/navigation'
import { createContext, type ReactNode, useContext, useState } from 'react'

interface Notice {
  words: string
  /** the page it belongs to */
  path: string
}
const Notices = createContext<(notice: Notice) => void>(() => {})
export const useNotices = () => useContext(Notices)

export function NoticeProvider({ children }: { children: ReactNode }) {
  const [notice, setNotice] = useState<Notice | null>(null)
  const path = usePathname()
  // left, it is told no more, not even to whoever comes back
  if (notice && notice.path !== path) setNotice(null)
  return (
    <Notices value={setNotice}>
      <div role="status">
        {notice && (
          <div className="border-b-2 border-late bg-sheet">
            <div className="mx-auto flex max-w-[78rem] flex-wrap items-center gap-x-4 px-4 sm:px-6">
              <p className="py-2 font-semibold">{notice.words}</p>
              <button type="button" className="press my-1" onClick={() => setNotice(null)}>
                I have read it
              </button>
            </div>
          </div>
        )}
      </div>
      {children}
    </Notices>
  )
}
