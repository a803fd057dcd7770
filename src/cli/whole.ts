import { Fault } from '@/core/trade'

/** A whole number given at the door. Throws a Fault that names it where there is none, or none in its range. */
export function whole(text: string | undefined, name: string, least: number, most: number): number {
  if (text === undefined) throw new Fault('usage', `Say how many ${name}: --${name} N`)
  const n = /^\d{1,12}$/.test(text) ? Number(text) : NaN
  if (!(n >= least && n <= most))
    throw new Fault(
      'number',
      `“${text.slice(0, 30)}” cannot be the ${name}: a whole number from ${least} to ${most} is wanted.`,
    )
  return n
}
