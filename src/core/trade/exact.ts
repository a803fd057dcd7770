/**
 * Exact rational numbers for rates and money. A rate such as 1.25 cents a page has no exact binary fraction;
 * computing with ratios of whole numbers keeps every sum exact until it is rounded once, at display.
 */
export interface Exact {
  /** Numerator. */
  n: bigint
  /** Denominator, always positive. */
  d: bigint
}

const gcd = (a: bigint, b: bigint): bigint => (b === 0n ? (a < 0n ? -a : a) : gcd(b, a % b))

function make(n: bigint, d: bigint): Exact {
  if (d === 0n) throw new RangeError('division by zero')
  const sign = d < 0n ? -1n : 1n
  const g = gcd(n, d) || 1n
  return { n: (sign * n) / g, d: (sign * d) / g }
}

/** From a decimal as written ("1.25"), or a number whose shortest decimal form is meant. */
export function exact(value: string | number | bigint): Exact {
  if (typeof value === 'bigint') return make(value, 1n)
  const m = /^(-?)(\d+)(?:\.(\d+))?$/.exec(typeof value === 'number' ? plain(value) : value.trim())
  if (!m) throw new RangeError(`not a decimal: ${value}`)
  const fraction = m[3] ?? ''
  const n = BigInt(m[2]! + fraction)
  return make(m[1] ? -n : n, 10n ** BigInt(fraction.length))
}

const plain = (x: number): string => {
  const s = String(x)
  return /e/i.test(s) ? x.toFixed(12) : s
}

export const add = (a: Exact, b: Exact): Exact => make(a.n * b.d + b.n * a.d, a.d * b.d)
export const sub = (a: Exact, b: Exact): Exact => make(a.n * b.d - b.n * a.d, a.d * b.d)
export const mul = (a: Exact, b: Exact): Exact => make(a.n * b.n, a.d * b.d)
export const div = (a: Exact, b: Exact): Exact => make(a.n * b.d, a.d * b.n)

/** Negative, zero or positive as a < b, a = b, a > b. */
export const compare = (a: Exact, b: Exact): number => Number(a.n * b.d - b.n * a.d)

/** Largest whole number not above. */
export function floor(a: Exact): bigint {
  const q = a.n / a.d
  return a.n < 0n && q * a.d !== a.n ? q - 1n : q
}

/** Smallest whole number not below. */
export const ceil = (a: Exact): bigint => -floor({ n: -a.n, d: a.d })

/** Nearest whole number; a half goes up, toward plus infinity, for losses too. */
export const roundHalfUp = (a: Exact): bigint => floor(add(a, make(1n, 2n)))

/** For plots and measures, where a float will do. */
export const toNumber = (a: Exact): number => Number(a.n) / Number(a.d)
