import { planWorkshop } from '../src/core/schedule/planWorkshop'
const gen = await import('/work/shared/schedule/generator.mjs')
const chk = await import('/work/shared/schedule/checker.mjs')
const base = await import('/work/shared/schedule/baseline.mjs')
console.log(Object.keys(gen), Object.keys(chk), Object.keys(base))
