/** ISBN: ten or thirteen figures with a check figure (ISO 2108). */

/** The check figure of the first twelve figures of an EAN-13. */
export function eanCheck(twelve: string): number {
  let sum = 0
  for (let i = 0; i < 12; i++) sum += Number(twelve[i]) * (i % 2 ? 3 : 1)
  return (10 - (sum % 10)) % 10
}

/** Reads an ISBN with or without hyphens, of either length, and returns its thirteen figures; undefined where a figure is wrong. */
export function parseIsbn(text: string): string | undefined {
  const s = text
    .replace(/^ISBN(?:-1[03])?:?/i, '')
    .replace(/[\s\-‐–]/g, '')
    .toUpperCase()
  if (/^97[89]\d{10}$/.test(s)) return eanCheck(s) === Number(s[12]) ? s : undefined
  if (/^\d{9}[\dX]$/.test(s)) {
    let sum = 0
    for (let i = 0; i < 10; i++) sum += (s[i] === 'X' ? 10 : Number(s[i])) * (10 - i)
    if (sum % 11) return undefined
    const twelve = '978' + s.slice(0, 9)
    return twelve + eanCheck(twelve)
  }
  return undefined
}

/** Thirteen figures set for reading. Registrant lengths differ by range, so only the certain hyphens are put. */
export const formatIsbn = (isbn: string): string => `${isbn.slice(0, 3)}-${isbn.slice(3, 12)}-${isbn.slice(12)}`
