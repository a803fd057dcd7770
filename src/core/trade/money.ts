import { type Exact, roundHalfUp } from './exact'

const signs: Record<string, string> = { USD: '$', EUR: '€', GBP: '£' }

/** What stands before an amount: "$", "€", or the currency's three letters. */
export const currencySign = (currency: string): string => signs[currency] ?? `${currency} `

/** Whole minor units as people read them: 1399, "USD" -> "$13.99". */
export function formatMoney(minor: bigint | number, currency: string): string {
  const n = BigInt(minor)
  const abs = n < 0n ? -n : n
  return `${n < 0n ? '−' : ''}${currencySign(currency)}${abs / 100n}.${String(abs % 100n).padStart(2, '0')}`
}

/** The one place where an exact amount becomes whole minor units: half up, once. */
export const atDisplay = (amount: Exact): number => Number(roundHalfUp(amount))
