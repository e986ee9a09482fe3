/** Made-up illustrations of the demo's pieces, before and after: plain shapes as SVG from a few words of data. */

export interface Drawing {
  shape:
    | 'washstand'
    | 'bureau'
    | 'settle'
    | 'press'
    | 'chest'
    | 'stand'
    | 'mirror'
    | 'treadle'
    | 'bookcase'
    | 'cupboard'
    | 'bedsides'
    | 'umbrella'
  before: string
  after: string
  accent: string
}
interface Paint {
  body: string
  dark: string
  accent: string
}
type Draw = (paint: Paint) => string

const box = (x: number, y: number, w: number, h: number, fill: string, more = '') =>
  `<rect x="${x}" y="${y}" width="${w}" height="${h}" fill="${fill}" ${more}/>`
const panelled = (x: number, y: number, w: number, h: number, { body, dark }: Paint) =>
  box(x, y, w, h, body, `stroke="${dark}" stroke-width="3"`) +
  box(x + 18, y + 18, w - 36, h - 36, 'none', `stroke="${dark}" stroke-width="4"`)
const knob = (x: number, y: number, { accent }: Paint) =>
  `<circle cx="${x}" cy="${y}" r="9" fill="${accent}" stroke="#1a140e" stroke-opacity=".5" stroke-width="2"/>`
const leg = (x: number, y: number, h: number, { dark }: Paint) => `<path d="M${x} ${y}h26l-6 ${h}h-14z" fill="${dark}"/>`

const shapes: Record<Drawing['shape'], Draw> = {
  washstand: (p) =>
    `<path d="M250 300q150 -120 300 0z" fill="${p.body}"/>` +
    box(220, 300, 360, 26, p.dark) +
    panelled(240, 326, 320, 90, p) +
    knob(400, 371, p) +
    leg(244, 416, 190, p) +
    leg(530, 416, 190, p) +
    box(250, 520, 300, 16, p.body),
  bureau: (p) =>
    box(230, 160, 340, 20, p.dark) +
    `<path d="M230 180h340l30 150h-400z" fill="${p.body}" stroke="${p.dark}" stroke-width="3"/>` +
    [330, 398, 466, 534]
      .map(
        (y) => box(215, y, 370, 62, p.body, `stroke="${p.dark}" stroke-width="4"`) + knob(300, y + 31, p) + knob(500, y + 31, p),
      )
      .join('') +
    box(205, 596, 390, 16, p.dark),
  settle: (p) =>
    panelled(170, 190, 230, 200, p) +
    panelled(400, 190, 230, 200, p) +
    box(140, 390, 520, 28, p.dark) +
    panelled(160, 418, 480, 150, p) +
    box(130, 300, 34, 300, p.dark) +
    box(636, 300, 34, 300, p.dark),
  press: (p) =>
    box(220, 80, 360, 24, p.dark) +
    panelled(235, 104, 165, 330, p) +
    panelled(400, 104, 165, 330, p) +
    knob(388, 280, p) +
    knob(412, 280, p) +
    [440, 520]
      .map(
        (y) => box(228, y, 344, 74, p.body, `stroke="${p.dark}" stroke-width="4"`) + knob(310, y + 37, p) + knob(490, y + 37, p),
      )
      .join(''),
  chest: (p) =>
    `<path d="M160 330q240 -70 480 0z" fill="${p.dark}"/>` +
    panelled(170, 330, 230, 220, p) +
    panelled(400, 330, 230, 220, p) +
    box(150, 550, 500, 30, p.dark) +
    box(380, 322, 40, 46, p.accent),
  stand: (p) =>
    box(290, 130, 220, 24, p.dark) +
    `<path d="M388 154q40 60 0 130q-36 60 12 110q46 -50 12 -110q-40 -70 0 -130z" fill="${p.body}"/>` +
    box(384, 390, 32, 120, p.body) +
    `<path d="M384 500q-90 20 -120 100h26q40 -60 110 -66q70 6 110 66h26q-30 -80 -120 -100z" fill="${p.dark}"/>`,
  mirror: (p) =>
    `<path d="M180 560V250q220 -190 440 0v310z" fill="${p.body}" stroke="${p.dark}" stroke-width="6"/><path d="M226 514V276q174 -130 348 0v238z" fill="#c9d6d6" stroke="${p.accent}" stroke-width="5"/><path d="M260 470l120 -190M320 490l150 -230" stroke="#fff" stroke-opacity=".6" stroke-width="10"/>`,
  treadle: (p) =>
    box(190, 260, 420, 30, p.dark) +
    box(200, 290, 120, 70, p.body) +
    box(480, 290, 120, 70, p.body) +
    knob(260, 325, p) +
    knob(540, 325, p) +
    `<g fill="none" stroke="${p.accent}" stroke-width="12"><path d="M230 360l40 240M570 360l-40 240M250 480q150 -90 300 0M270 600q130 -120 260 0"/><circle cx="480" cy="470" r="52"/></g>`,
  bookcase: (p) =>
    box(240, 90, 320, 520, p.dark) +
    [110, 238, 366, 488]
      .map(
        (y) =>
          box(262, y, 276, 106, p.body) +
          [0, 1, 2, 3, 4]
            .map((k) => box(276 + k * 34, y + 26 + (k % 3) * 10, 24, 80 - (k % 3) * 10, k % 2 ? p.accent : '#b08c6a'))
            .join(''),
      )
      .join(''),
  cupboard: (p) =>
    `<path d="M230 150h340v30h-340z" fill="${p.dark}"/>` +
    box(250, 180, 300, 420, p.body, `stroke="${p.dark}" stroke-width="4"`) +
    box(285, 215, 230, 210, '#cfdad6', `stroke="${p.dark}" stroke-width="10"`) +
    `<path d="M400 215v210M285 320h230" stroke="${p.dark}" stroke-width="8"/>` +
    panelled(285, 445, 230, 125, p) +
    knob(500, 435, p),
  bedsides: (p) =>
    [150, 440]
      .map(
        (x) =>
          box(x - 8, 250, 226, 20, p.dark) +
          box(x, 270, 210, 90, p.body, `stroke="${p.dark}" stroke-width="4"`) +
          knob(x + 105, 315, p) +
          panelled(x, 360, 210, 170, p) +
          knob(x + 185, 440, p) +
          leg(x + 4, 530, 60, p) +
          leg(x + 180, 530, 60, p),
      )
      .join(''),
  umbrella: (p) =>
    `<path d="M300 300h200l-22 300h-156z" fill="${p.body}" stroke="${p.dark}" stroke-width="4"/><ellipse cx="400" cy="300" rx="100" ry="20" fill="${p.dark}"/><path d="M370 300V120q0 -40 34 -40M430 298V150" fill="none" stroke="${p.accent}" stroke-width="10"/>` +
    box(315, 420, 170, 16, p.dark),
}

/** Wear of the years: streaks, chips and a ring, the same each time. */
const years = Array.from({ length: 26 }, (_, k) => {
  const x = 170 + ((k * 173) % 460)
  const y = 190 + ((k * 97) % 390)
  return k % 3 === 0
    ? `<circle cx="${x}" cy="${y}" r="${4 + (k % 4) * 3}" fill="#1a140e" opacity=".2"/>`
    : `<path d="M${x} ${y}q${8 - (k % 5) * 4} ${20 + (k % 4) * 9} 2 ${34 + (k % 3) * 12}" stroke="#f6efe0" stroke-width="${1 + (k % 3)}" fill="none" opacity=".35"/>`
}).join('')

const shade = (hex: string, by: number) =>
  `#${[1, 3, 5]
    .map((at) =>
      Math.round(Math.max(0, Math.min(255, parseInt(hex.slice(at, at + 2), 16) * by)))
        .toString(16)
        .padStart(2, '0'),
    )
    .join('')}`

export type DrawnMoment = 'before' | 'during' | 'after'
const rooms: Record<DrawnMoment, readonly [wall: string, floor: string]> = {
  before: ['#b9b2a4', '#857a69'],
  during: ['#d6cdbb', '#a4937a'],
  after: ['#e9e0cd', '#c8b491'],
}

/** An 800 × 680 picture of the piece at a moment; in the middle of the work in the colour that is on it then. */
export function drawPiece(drawing: Drawing, moment: DrawnMoment, colour = drawing.after): string {
  const body = moment === 'during' ? colour : drawing[moment]
  const paint: Paint = { body, dark: shade(body, 0.72), accent: moment === 'after' ? drawing.accent : '#8a8072' }
  const [wall, floor] = rooms[moment]
  return `<svg xmlns="http://www.w3.org/2000/svg" viewBox="0 0 800 680" width="1200" height="1020">${box(0, 0, 800, 680, wall)}${box(0, 560, 800, 120, floor)}<ellipse cx="400" cy="606" rx="290" ry="22" fill="#1a140e" opacity=".25"/>${shapes[drawing.shape](paint)}${moment === 'before' ? years : ''}</svg>`
}
