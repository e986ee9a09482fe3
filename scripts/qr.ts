/** An address as a picture in the terminal, for a phone's camera. Usage: tsx scripts/qr.ts ADDRESS */
import { renderUnicodeCompact } from 'uqr'

console.log(renderUnicodeCompact(process.argv[2] ?? '', { border: 2 }))
