import { openEpub } from '../../publication'
import { Fault } from '../../trade'
import { access } from './access'
import type { EbookOutlet, EpubFinding, EpubRule } from './finding'
import { fixed } from './fixed'
import { recordings } from './recordings'
import { structure } from './structure'
import { texts } from './texts'
import { viewOf } from './view'
import { weights } from './weight'

/** Everything that an ebook is held against: a rule is one function here. */
const rules: readonly EpubRule[] = [...structure, ...texts, ...access, ...fixed, ...recordings, ...weights]

const rank = { stop: 0, mend: 1, remark: 2 }

/** Looks an ebook's file over, however it was made, and against an outlet's limits where one is named. What stops it comes first. */
export function checkEpub(bytes: Uint8Array, outlet?: EbookOutlet): EpubFinding[] {
  let epub
  try {
    epub = openEpub(bytes)
  } catch (e) {
    if (!(e instanceof Fault)) throw e
    const remedy = 'Make the file anew where it was made.'
    return [{ rule: 'damaged', severity: 'stop', place: { file: '' }, message: e.message, remedy }]
  }
  const view = viewOf(epub, bytes)
  return rules.flatMap(rule => rule(view, outlet)).sort((a, b) => rank[a.severity] - rank[b.severity])
}

export type { EbookOutlet, EpubFinding } from './finding'
