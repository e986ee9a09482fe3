/** A studio whose truth is known: how fast each of its operations, painters and articles really is, and how its work scatters. */
import { randomNormal } from 'd3-random'
import type { OperationCode } from '@/core/craft/operations'
import type { WorkedStep } from '@/core/learn/estimate'
import { randomFrom } from '@/core/measure/random'

export interface StudioTruth {
  /** of the logarithms: how far operations, painters and articles lie from the norm */
  operations: number
  painters: number
  articles: number
  /** of the logarithms: what all steps of a piece share by chance, and what each has by itself */
  piece: number
  step: number
  /** minutes against the norm for everything */
  slow: number
}
const codes: OperationCode[] = ['clean', 'scuff', 'undercoat', 'coat', 'smooth', 'clear-coat', 'clear-wax', 'glue']
const [painterNames, articleNames] = [
  ['a', 'b', 'c'],
  ['chest', 'table', 'chair', 'bed'],
]

/** Pieces one after the other, each with its steps. */
export function* simulatedPieces(truth: StudioTruth, seed: number): Generator<WorkedStep[], never> {
  const random = randomFrom(seed)
  const normal = randomNormal.source(random)()
  const about = (names: readonly string[], scale: number) => new Map(names.map((name) => [name, normal() * scale]))
  const operation = about(codes, truth.operations)
  const painter = about(painterNames, truth.painters)
  const article = about(articleNames, truth.articles)
  const any = <T>(all: readonly T[]): T => all[Math.floor(random() * all.length)] as T
  for (let index = 0; ; index += 1) {
    const [who, what] = [any(painterNames), any(articleNames)]
    const together = normal() * truth.piece
    yield Array.from({ length: 5 + Math.floor(random() * 9) }, () => {
      const step = any(codes)
      const planned = 5 + random() * 60
      const log =
        Math.log(truth.slow) +
        (operation.get(step) ?? 0) +
        (painter.get(who) ?? 0) +
        (article.get(what) ?? 0) +
        together +
        normal() * truth.step
      return { piece: `p${index}`, operation: step, painter: who, article: what, planned, actual: planned * Math.exp(log) }
    })
  }
}
