/** What takes longer to make than to use is made once for each question. Pure, as `make` is. */
export function remember<Asked extends unknown[], Made>(make: (...asked: Asked) => Made): (...asked: Asked) => Made {
  const known = new Map<string, Made>()
  return (...asked) => {
    const key = JSON.stringify(asked)
    const found = known.get(key)
    if (found !== undefined) return found
    const made = make(...asked)
    known.set(key, made)
    return made
  }
}
