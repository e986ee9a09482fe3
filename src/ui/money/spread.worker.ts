/** What a piece may come to cost, drawn twenty thousand times beside the page. */
import { type Spread, type SpreadAsk, spreadOf } from '@/core/price/spread'

const scope = self as unknown as {
  onmessage: (event: MessageEvent<SpreadAsk>) => void
  postMessage: (spread: Spread, moved: ArrayBuffer[]) => void
}
scope.onmessage = ({ data }) => {
  const spread = spreadOf(data)
  scope.postMessage(spread, [spread.cost.buffer, spread.paid.buffer, spread.hours.buffer] as ArrayBuffer[])
}
