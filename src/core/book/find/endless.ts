/**
 * Patterns that might take longer than anybody waits. A pattern runs where the text is written, and cannot be stopped: it is known by its
 * form whether it could try the same letters over and over.
 */

/** A group that has no other inside, and what repeats it without end. */
const REPEATED = /\((?:\?:)?((?:[^()\\]|\\.)*)\)(?:[+*]|\{\d+,\})/g
/** Something inside of a group that may take more letters or fewer. */
const LOOSE = /(?:[^\\]|\\.)(?:[+*?]|\{\d*,\d*\})/
/** Something that fits many letters, repeated without end. */
const WIDE = /(?:\.|\\[wWsSdDpP](?:\{[^}]*\})?|\[(?:[^\]\\]|\\.)*\])(?:[+*]|\{\d+,\})/g
/** So many of those a line is still searched with in no time: each more multiplies the tries by its letters. */
const MOST_WIDE = 2

/** Why a pattern might never come to an end; undefined where it will. */
export function endlessness(pattern: string): string | undefined {
  // From the innermost groups outward: what was looked at stands as one letter.
  for (let rest = pattern, inside = ''; ;) {
    for (const [, group = ''] of rest.matchAll(REPEATED)) {
      if (LOOSE.test(group)) return 'This pattern repeats something that repeats itself: it might never come to an end.'
      if (group.includes('|') && !areApart(group.split('|')))
        return 'This pattern repeats a choice whose parts may begin alike: it might never come to an end.'
    }
    inside = rest.replace(/\((?:\?[:=!]|\?<[=!]?[^>]*>?)?((?:[^()\\]|\\.)*)\)/g, (_, group: string) =>
      LOOSE.test(group) ? 'x+' : 'x',
    )
    if (inside === rest) break
    rest = inside
  }
  const wide = pattern.match(WIDE)?.length ?? 0
  return wide > MOST_WIDE
    ? 'This pattern has more than two parts that may be of any length: it would take too long. Say one of them more closely.'
    : undefined
}

/** Whether choices begin with letters that tell them apart. */
function areApart(choices: readonly string[]): boolean {
  const firsts = choices.map(c => /^[\p{L}\p{N} ]/u.exec(c)?.[0].toLowerCase())
  return firsts.every(f => f !== undefined) && new Set(firsts).size === firsts.length
}
