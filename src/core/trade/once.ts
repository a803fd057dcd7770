/** A value that is made when it is first asked for, and kept: schemas, which most starts never need. */
export function once<T>(make: () => T): () => T {
  let made: { value: T } | undefined
  return () => (made ??= { value: make() }).value
}
