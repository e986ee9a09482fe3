/** An address as a picture that a camera reads. */
import { encode } from 'uqr'

export interface Qr {
  /** of its sides */
  size: number
  /** one square a dark field, as an SVG path */
  path: string
}
export function qrOf(address: string): Qr {
  const { data, size } = encode(address, { border: 2 })
  return { size, path: data.flatMap((row, y) => row.flatMap((dark, x) => (dark ? [`M${x} ${y}h1v1h-1z`] : []))).join('') }
}
