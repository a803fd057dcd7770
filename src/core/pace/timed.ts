/** A sitting of a length that was set, and a rest behind it. */
export interface TimedSitting {
  /** Milliseconds. */
  begun: number
  /** Minutes to write, and to rest afterwards. */
  minutes: number
  rest: number
}

const MINUTE = 60_000

/** What goes on at a moment, and how many seconds of it are left; undefined when both are over. */
export function phaseOf(
  { begun, minutes, rest }: TimedSitting,
  now: number,
): { at: 'writing' | 'resting'; left: number } | undefined {
  const end = begun + minutes * MINUTE
  const over = end + rest * MINUTE
  if (now >= over) return undefined
  return now < end
    ? { at: 'writing', left: Math.ceil((end - now) / 1000) }
    : { at: 'resting', left: Math.ceil((over - now) / 1000) }
}
