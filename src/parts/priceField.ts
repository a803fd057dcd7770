import { currencySign } from '@/core/trade'
import type { TextField } from './useTaken'

/** A price, stored in minor units of its currency. */
export const priceField = (currency: string): TextField<number> => ({
  label: 'Price',
  problem: t =>
    t.trim() && !/^[^\d.,-]{0,4}\d{1,6}([.,]\d{1,2})?\s*$/.test(t) ? 'Write the price like 13.99.' : undefined,
  read: t => (t.trim() ? Math.round(Number(t.replace(/[^\d.,]/g, '').replace(',', '.')) * 100) : undefined),
  show: v => (v === undefined ? '' : `${currencySign(currency)}${(v / 100).toFixed(2)}`),
})
