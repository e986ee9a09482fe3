/** What follows from a thing alone, worked out once for each; the thing itself is never changed. */
export function onceFor<T extends object, R>(work: (thing: T) => R): (thing: T) => R {
  const known = new WeakMap<T, { result: R }>()
  return (thing) => {
    const found = known.get(thing) ?? { result: work(thing) }
    known.set(thing, found)
    return found.result
  }
}
