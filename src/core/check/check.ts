import { coverEdges } from './coverEdges'
import { barcode, contrast, coverFits, coverGlyphs, coverResolution, coverSafe, spine } from './coverRules'
import {
  described,
  ebookAccess,
  ebookLeftOut,
  emptySections,
  front,
  named,
  price,
  soundPictures,
  titleLength,
  innerLinksLead,
  leftOfEarlier,
  signsAsTyped,
  weight,
} from './dataRules'
import { elsewhereRules, elsewhereSize } from './elsewhereRules'
import { ebookAsAnyOther } from './epubRules'
import type { Finding, Severity } from './finding'
import {
  blanks,
  borrowedGlyphs,
  inside,
  missingGlyphs,
  overfull,
  pageEnds,
  resolution,
  type Rule,
  safeZone,
  specification,
} from './pageRules'
import { recordingsOnPaper, recordingsTaken, soundRecordings } from './recordingRules'
import { answers, doubles, faint, made, offence, shown, smallPrint, waiting } from './planRules'
import type { Subject } from './subject'

/** All rules, in the order in which an author would mend. */
export const rules: Rule[] = [
  named,
  titleLength,
  price,
  specification,
  inside,
  safeZone,
  missingGlyphs,
  borrowedGlyphs,
  resolution,
  overfull,
  pageEnds,
  blanks,
  made,
  answers,
  doubles,
  smallPrint,
  waiting,
  shown,
  faint,
  offence,
  spine,
  coverSafe,
  coverEdges,
  coverFits,
  coverGlyphs,
  coverResolution,
  contrast,
  ...elsewhereRules,
  barcode,
  weight,
  ebookLeftOut,
  ebookAsAnyOther,
  ebookAccess,
  front,
  soundPictures,
  soundRecordings,
  recordingsOnPaper,
  recordingsTaken,
  described,
  emptySections,
  innerLinksLead,
  leftOfEarlier,
  signsAsTyped,
]

/** Those that look at a cover alone: whether its words read, fit and stay clear, and what is seen ends where it may. */
export const coverRules: Rule[] = [coverSafe, coverEdges, coverFits, contrast, elsewhereSize]

const rank: Record<Severity, number> = { stop: 0, mend: 1, remark: 2 }

/** Looks an edition over for an outlet. Findings that stop come first; within a severity the rules' order holds. */
export function check(s: Subject): Finding[] {
  return rules
    .flatMap(r => r(s))
    .map((f, i) => [f, i] as const)
    .sort((a, b) => rank[a[0].severity] - rank[b[0].severity] || a[1] - b[1])
    .map(x => x[0])
}
