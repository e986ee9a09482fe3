/** In the place of what a worker should have reckoned. */
export const NotReckoned = ({ again }: { again: () => void }) => (
  <div role="alert" className="flex flex-wrap items-center gap-4 py-6">
    <p className="text-lg font-semibold">This device could not reckon it.</p>
    <button type="button" className="press" onClick={again}>
      Reckon it again
    </button>
  </div>
)
