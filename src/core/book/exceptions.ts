import type { Edition } from './book'

type Values = Record<string, number | boolean | string>

/** The editions with what one of them has of its own at one section: `next` is given what it has there now. Where nothing is left, nothing is kept. */
export const withException = (
  editions: readonly Edition[],
  editionId: string,
  section: string,
  next: (own: Values) => Values,
): Edition[] =>
  editions.map(e => {
    if (e.id !== editionId) return e
    const { exceptions = {}, ...rest } = e
    const { [section]: own = {}, ...others } = exceptions
    const values = next(own)
    const all = Object.keys(values).length ? { ...others, [section]: values } : others
    return Object.keys(all).length ? { ...rest, exceptions: all } : rest
  })
