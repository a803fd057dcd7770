/** A place in a row, in English: 21 → "21st". */
export const ordinal = (n: number): string => {
  const tens = n % 100
  const ending = tens > 10 && tens < 14 ? 'th' : ({ 1: 'st', 2: 'nd', 3: 'rd' }[n % 10] ?? 'th')
  return `${n.toLocaleString('en')}${ending}`
}
