/** Midnight of an ISO date's day, wherever the machine stands: what ZIP writers, which know no zones, read local time from. */
export function dayOf(date: string): Date {
  const [year, month, day] = date.slice(0, 10).split('-').map(Number) as [number, number, number]
  return new Date(year, month - 1, day)
}
