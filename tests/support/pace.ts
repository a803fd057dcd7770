/** Processor milliseconds that `piece` takes where the limits were set: 2 cores, Node 20, nothing beside it. */
const REFERENCE = 200

/** Work of the kind that reading a file is: small objects, maps, strings, and what is thrown away again. */
function piece(): number {
  const seen = new Map<string, { text: string; marks: { type: string }[] }>()
  for (let i = 0; i < 130_000; i++)
    seen.set(`p${i % 30_000}`, { text: `word ${i}`.trim(), marks: [{ type: i % 3 ? 'em' : 'strong' }] })
  return JSON.stringify([...seen.values()]).length
}

/**
 * How many times slower this machine is now than the one on which limits of time were set; never under 1. The checking machine is shared,
 * and the same work takes it twice the processor time on some days: a limit in seconds alone would say nothing about the program.
 */
export function slowness(): number {
  const from = process.cpuUsage()
  piece()
  const { user, system } = process.cpuUsage(from)
  return Math.max(1, (user + system) / 1000 / REFERENCE)
}
