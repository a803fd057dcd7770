/** Words with the flags that are written behind them; of one that stands there several times, those of each line. */
export function readWords(dic: string): Map<string, string> {
  const words = new Map<string, string>()
  let first = true
  for (const line of dic.split('\n')) {
    // The first says how many there are.
    if (first && /^\uFEFF?\d+\s*$/.test(line)) {
      first = false
      continue
    }
    first = false
    if (!line || line[0] === '\t' || line[0] === '#') continue
    const [word, flags] = wordOf(line)
    if (!word) continue
    const there = words.get(word)
    words.set(word, there === undefined ? flags : `${there}\n${flags}`)
  }
  return words
}

/** What follows a word and its flags: fields of two letters, or whatever stands behind a tab. */
const FIELDS = /\t|\s+[a-z]{2}:/

function wordOf(line: string): readonly [word: string, flags: string] {
  const end = line.search(FIELDS)
  const said = (end < 0 ? line : line.slice(0, end)).trim()
  let slash = said.indexOf('/', 1)
  while (slash > 0 && said[slash - 1] === '\\') slash = said.indexOf('/', slash + 1)
  const word = slash < 0 ? said : said.slice(0, slash)
  const behind = slash < 0 ? '' : said.slice(slash + 1)
  return [word.replaceAll('\\/', '/'), behind.split(/\s/)[0]!]
}
