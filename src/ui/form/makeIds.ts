import { v7 as uuidv7 } from 'uuid'

/** The first so many of a row of numbers, each made when it is asked for first, and the same ever after: what is sent twice is written once. */
export function makeIds(): (many: number) => string[] {
  const made: string[] = []
  return (many) => {
    while (made.length < many) made.push(uuidv7())
    return made.slice(0, many)
  }
}
