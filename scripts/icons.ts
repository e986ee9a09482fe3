/** The icon as pictures for what takes no drawing, made anew from `src/app/icon.svg`. Usage: npx tsx scripts/icons.ts */
import { readFileSync } from 'node:fs'
import sharp from 'sharp'

const drawing = readFileSync('src/app/icon.svg')
const ground = '#ece5d7'
const drawn = (side: number) => sharp(drawing, { density: 1200 }).resize(side, side)
for (const side of [192, 512]) await drawn(side).png().toFile(`public/icon-${side}.png`)
/** a mask takes a fifth off each side, and a phone fills what is clear with black */
const inset = async (side: number, share: number) => {
  const own = Math.round(side * (1 - 2 * share))
  const edge = Math.round((side - own) / 2)
  return sharp({ create: { width: side, height: side, channels: 3, background: ground } }).composite([
    { input: await drawn(own).png().toBuffer(), left: edge, top: edge },
  ])
}
await (await inset(512, 0.2)).png().toFile('public/icon-maskable.png')
await (await inset(180, 0.1)).png().toFile('src/app/apple-icon.png')
