/**
 * Painted area of a part from its measured surfaces. Lengths in mm, areas in m²; pure.
 * Faces are plain geometry; relief factors are the craft's allowance for mouldings and carving.
 */

export const reliefs = { flat: 1, framed: 1.1, moulded: 1.25, carved: 1.5 } as const
export type Relief = keyof typeof reliefs

interface Common {
  count: number
  relief: Relief
}

/** A measured area of a part, repeated `count` times; every length in mm. */
export type MeasuredFace = Common &
  (
    | { shape: 'panel'; width: number; height: number }
    | { shape: 'squareLeg'; width: number; length: number }
    | { shape: 'taperedLeg'; top: number; foot: number; length: number }
    | { shape: 'roundLeg'; diameter: number; length: number }
    | { shape: 'turnedLeg'; diameter: number; length: number }
  )

export type Shape = MeasuredFace['shape']

/** How much more surface a turned leg has than the plain cylinder around it. */
const turnedFactor = 1.2

/** The lengths a shape is measured by, in the order a tape would take them. */
export const shapeLengths = {
  panel: ['width', 'height'],
  squareLeg: ['width', 'length'],
  taperedLeg: ['top', 'foot', 'length'],
  roundLeg: ['diameter', 'length'],
  turnedLeg: ['diameter', 'length'],
} as const satisfies Record<Shape, readonly string[]>

/** Area of one face in mm², relief not counted. */
function faceMm2(surface: MeasuredFace): number {
  switch (surface.shape) {
    case 'panel':
      return surface.width * surface.height
    case 'squareLeg':
      return 4 * surface.width * surface.length
    case 'taperedLeg':
      return 4 * ((surface.top + surface.foot) / 2) * surface.length
    case 'roundLeg':
      return Math.PI * surface.diameter * surface.length
    case 'turnedLeg':
      return turnedFactor * Math.PI * surface.diameter * surface.length
  }
}

/** Area of one measured surface in m², `count` and relief included. */
export function areaOfSurface(surface: MeasuredFace): number {
  return (surface.count * faceMm2(surface) * reliefs[surface.relief]) / 1e6
}

/** Total `area` in m² of the surfaces given; an empty list is 0 m². */
export function surfaceArea(input: { surfaces: readonly MeasuredFace[] }): { area: number } {
  return { area: input.surfaces.reduce((sum, surface) => sum + areaOfSurface(surface), 0) }
}
