import { type Reach, reachOf } from './reach'

/**
 * What a dictionary's affix file (.aff) says: how its words change at their ends and beginnings, how they are joined, and what their
 * flags mean. The format is Hunspell's (hunspell(5)); what serves suggestions alone is read by nspell.
 */

/** Flags by their meaning; absent where a dictionary has none. */
export interface FlagNames {
  needAffix?: string
  forbidden?: string
  onlyInCompound?: string
  circumfix?: string
  compound?: string
  compoundBegin?: string
  compoundMiddle?: string
  compoundEnd?: string
  compoundPermit?: string
  compoundForbid?: string
}

/** One way in which a word changes at its end or its beginning. */
export interface Affix {
  /** The flag of the words that change so. */
  flag: string
  side: 'start' | 'end'
  /** Whether it goes together with one at the other side. */
  crosses: boolean
  /** What comes off before it is put on. */
  strip: string
  add: string
  /** What the word has to look like before; every word where absent. */
  fits?: RegExp
  /** Flags of the word that is made by it. */
  then: readonly string[]
}

/** Affixes of one side by what they add; of what adds the same, those together that strip the same: they come from the same base. */
export interface AffixesByAdded {
  by: ReadonlyMap<string, readonly { strip: string; affixes: readonly Affix[] }[]>
  /** Letters of a form at that side that may have been added. */
  reach: Reach
}

/** A part of a rule by which words are joined: words of a flag, so many times. */
export interface JoinPart {
  flag: string
  times: 'one' | 'any' | 'maybe'
}

export interface KeptApart {
  end: string
  endFlag?: string
  start: string
  startFlag?: string
}

export interface Affixes {
  ends: AffixesByAdded
  starts: AffixesByAdded
  names: FlagNames
  /** Letters that a part of a joined word has at least. */
  partMin: number
  /** Parts that a joined word has at most. */
  partsMax: number
  /** Whether three of a letter may not meet where words are joined, and a word may not follow itself. */
  noTriples: boolean
  noTwins: boolean
  /** Whether no capital may stand where words are joined. */
  noCapitals: boolean
  /** Words that do not stand beside each other, by how the one ends and the other starts, and by their flags. */
  apart: readonly KeptApart[]
  joins: readonly (readonly JoinPart[])[]
  /** What is often written for what; a joined word that comes to a word by one of them is none. Empty where that does not count. */
  mistakes: readonly (readonly [wrong: string, right: string])[]
  /** The flags that stand behind a word's slash. */
  flagsOf: (written: string) => readonly string[]
}

const NONE: readonly string[] = []
/** Where a dictionary does not say. */
const PART_MIN = 3
/** More parts are not tried: the time grows with each. */
const PARTS_MAX = 5

const named: Record<string, keyof FlagNames> = {
  NEEDAFFIX: 'needAffix',
  PSEUDOROOT: 'needAffix',
  FORBIDDENWORD: 'forbidden',
  ONLYINCOMPOUND: 'onlyInCompound',
  CIRCUMFIX: 'circumfix',
  COMPOUNDFLAG: 'compound',
  COMPOUNDBEGIN: 'compoundBegin',
  COMPOUNDMIDDLE: 'compoundMiddle',
  COMPOUNDEND: 'compoundEnd',
  COMPOUNDLAST: 'compoundEnd',
  COMPOUNDPERMITFLAG: 'compoundPermit',
  COMPOUNDFORBIDFLAG: 'compoundForbid',
}

/** Reads an affix file. Lines that say nothing that is known are passed over. */
export function readAffixes(aff: string): Affixes {
  const lines = aff
    .split(/\r?\n/)
    .map(l => l.trim().split(/\s+/))
    .filter(([word]) => word && !word.startsWith('#'))
  const said = (word: string): string | undefined => lines.find(([w]) => w === word)?.[1]
  const flagsOf = flagReader(said('FLAG'), aliasesOf(lines))
  const names: FlagNames = {}
  for (const [word, flag] of lines) if (flag && named[word!]) names[named[word!]!] = flag
  const rules = lines.flatMap(l => affixOf(l, flagsOf) ?? [])
  const crossing = new Set(lines.filter(isHead).map(([side, flag, crosses]) => (crosses === 'Y' ? side! + flag! : '')))
  const affixes = rules.map(r => ({ ...r, crosses: crossing.has((r.side === 'end' ? 'SFX' : 'PFX') + r.flag) }))
  const at = (side: Affix['side']): Affix[] => affixes.filter(a => a.side === side)
  const min = Number(said('COMPOUNDMIN') ?? PART_MIN)
  return {
    ends: byAdded(at('end'), 'end'),
    starts: byAdded(at('start'), 'start'),
    names,
    partMin: Math.max(1, Number.isFinite(min) ? min : PART_MIN),
    partsMax: Math.min(PARTS_MAX, Number(said('COMPOUNDWORDMAX')) || PARTS_MAX),
    noTriples: lines.some(([w]) => w === 'CHECKCOMPOUNDTRIPLE'),
    noTwins: lines.some(([w]) => w === 'CHECKCOMPOUNDDUP'),
    noCapitals: lines.some(([w]) => w === 'CHECKCOMPOUNDCASE'),
    apart: lines
      .filter(([w, end, start]) => w === 'CHECKCOMPOUNDPATTERN' && end && start)
      .map(([, end, start]) => apartOf(end!, start!, flagsOf)),
    // The first says how many there are.
    joins: lines
      .filter(([w, rule]) => w === 'COMPOUNDRULE' && rule)
      .slice(1)
      .map(l => joinOf(l[1]!, flagsOf)),
    mistakes: lines.some(([w]) => w === 'CHECKCOMPOUNDREP')
      ? lines.filter(([w, , right]) => w === 'REP' && right).map(([, wrong, right]) => [wrong!, plain(right!)] as const)
      : [],
    flagsOf,
  }
}

function apartOf(end: string, start: string, flagsOf: Affixes['flagsOf']): KeptApart {
  const [before, endFlags] = end.split('/')
  const [behind, startFlags] = start.split('/')
  const [endFlag] = flagsOf(endFlags ?? '')
  const [startFlag] = flagsOf(startFlags ?? '')
  // 0: a word as it stands in the dictionary.
  return {
    end: before === '0' ? '' : before!,
    start: behind === '0' ? '' : behind!,
    ...(endFlag !== undefined && { endFlag }),
    ...(startFlag !== undefined && { startFlag }),
  }
}

const isCount = (s: string | undefined): boolean => /^\d+$/.test(s ?? '')
const plain = (s: string): string => s.replaceAll('_', ' ')
/** A rule’s head: its side, its flag, whether it crosses, how many lines follow. */
const isHead = (l: readonly string[]): boolean =>
  (l[0] === 'SFX' || l[0] === 'PFX') && (l[2] === 'Y' || l[2] === 'N') && isCount(l[3]) && !(l[4] && l[4] !== '#')

function affixOf(l: readonly string[], flagsOf: Affixes['flagsOf']): Omit<Affix, 'crosses'> | undefined {
  const [word, flag, strip, added, form] = l
  if ((word !== 'SFX' && word !== 'PFX') || added === undefined || isHead(l)) return undefined
  const side = word === 'SFX' ? 'end' : 'start'
  const slash = added.search(/(?<!\\)\//)
  const add = (slash < 0 ? added : added.slice(0, slash)).replaceAll('\\/', '/')
  const fits = form && form !== '.' ? formOf(form, side) : undefined
  if (fits === null) return undefined
  return {
    flag: flag!,
    side,
    strip: strip === '0' ? '' : strip!,
    add: add === '0' ? '' : add,
    ...(fits && { fits }),
    then: slash < 0 ? NONE : flagsOf(added.slice(slash + 1)),
  }
}

/** Conditions are said oftener than they differ. */
const forms = new Map<string, RegExp | null>()

/** A condition as a pattern; a hyphen in brackets is a hyphen. Null where it is none. */
function formOf(form: string, side: Affix['side']): RegExp | null {
  const key = side + form
  let is = forms.get(key)
  if (is === undefined) {
    const body = form.replace(/\[(\^?)([^\]]*)\]|[^.]/g, (all, not: string | undefined, of: string | undefined) =>
      of === undefined ? all.replace(/[\\^$*+?()[\]{}|]/, '\\$&') : `[${not}${of.replace(/[\\\-[\]^]/g, '\\$&')}]`,
    )
    try {
      is = new RegExp(side === 'end' ? `(?:${body})$` : `^(?:${body})`, 'u')
    } catch {
      is = null
    }
    forms.set(key, is)
  }
  return is
}

/** Affixes of one side, found by what they add. */
export function byAdded(affixes: readonly Affix[], side: Affix['side']): AffixesByAdded {
  const by = new Map<string, { strip: string; affixes: Affix[] }[]>()
  for (const a of affixes) {
    const alike = by.get(a.add) ?? []
    if (!alike.length) by.set(a.add, alike)
    const same = alike.find(x => x.strip === a.strip)
    if (same) same.affixes.push(a)
    else alike.push({ strip: a.strip, affixes: [a] })
  }
  return { by, reach: reachOf([...by.keys()], side) }
}

/** Flags under numbers, where a dictionary says them so: AF, once with their count, then each. */
const aliasesOf = (lines: readonly (readonly string[])[]): string[] =>
  lines
    .filter(([w]) => w === 'AF')
    .slice(1)
    .map(l => l[1] ?? '')

/** How flags are read: as letters, as pairs of them, or as numbers between commas. Each way of writing is read once. */
function flagReader(form: string | undefined, aliases: readonly string[]): Affixes['flagsOf'] {
  const known = new Map<string, readonly string[]>()
  return written => {
    if (!written) return NONE
    let flags = known.get(written)
    if (!flags) {
      const text = aliases.length && isCount(written) ? (aliases[Number(written) - 1] ?? '') : written
      flags = form === 'num' ? text.split(',') : form === 'long' ? (text.match(/../gsu) ?? []) : Array.from(text)
      known.set(written, flags)
    }
    return flags
  }
}

/** A rule of joining: flags, each alone or in brackets, with * or ? behind it. */
function joinOf(rule: string, flagsOf: Affixes['flagsOf']): JoinPart[] {
  return [...rule.matchAll(/\(([^)]*)\)([*?]?)|([^*?])([*?]?)/gu)].flatMap(([, bracketed, after, single, behind]) => {
    const [flag] = flagsOf(bracketed ?? single!)
    const sign = after ?? behind
    return flag === undefined ? [] : [{ flag, times: sign === '*' ? 'any' : sign === '?' ? 'maybe' : 'one' } as const]
  })
}
