/** What can be made with what stands on the shelf, reckoned beside the page. */
import { type Makeable, type MakeAsk, whatCanBeMade } from '@/core/plan/fromShelf'

const scope = self as unknown as {
  onmessage: (event: MessageEvent<MakeAsk>) => void
  postMessage: (found: Makeable[]) => void
}
scope.onmessage = ({ data }) => scope.postMessage(whatCanBeMade(data))
