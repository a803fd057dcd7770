import { readZip } from '../../files'
import { Fault } from '../../trade'
import { readAffixes } from './affixes'
import { readWords } from './readWords'

/** A file that was chosen. */
export interface NamedBytes {
  name: string
  bytes: Uint8Array
}

/** A dictionary out of files: its two texts, decoded. */
export interface ReadDictionary {
  name: string
  /** Empty where it is a bare list of words, whose forms are not known. */
  aff: string
  dic: string
  /** Words that stand in it, without their forms. */
  words: number
}

/** A bare list has no more than letters to go by. */
export const BARE_AFFIXES = 'SET UTF-8\n'

const LARGEST = 64e6

/**
 * Reads a dictionary out of what was chosen: the two files that spelling dictionaries of office programs come as (.aff and .dic), an
 * archive that holds them (.oxt, .zip), or a bare list with a word in each line (.txt, .dic). Of an archive with several that is taken
 * whose name says the language, a BCP 47 tag. Throws a Fault that says what is wrong.
 */
export function readOwnDictionary(files: readonly NamedBytes[], language: string): ReadDictionary {
  const all = files.flatMap(f => (isArchive(f) ? unpacked(f) : [f]))
  const dictionaries = all.filter(f => /\.dic$/i.test(f.name))
  // What lies beside a dictionary as plain text is no list of words.
  const lists = dictionaries.length ? dictionaries : all.filter(f => /\.txt$/i.test(f.name))
  const affixFiles = all.filter(f => /\.aff$/i.test(f.name))
  const chosen = chosenOf(lists, affixFiles, language)
  const affixes =
    affixFiles.find(f => stemOf(f.name) === stemOf(chosen.name)) ?? (lists.length === 1 ? affixFiles[0] : undefined)
  const charset = affixes && charsetOf(affixes)
  const aff = affixes ? decodedBy(affixes, charset) : ''
  const dic = decodedBy(chosen, charset)
  if (affixes && !readAffixes(aff).ends.by.size && !readAffixes(aff).starts.by.size && !/^SET\s/m.test(aff))
    throw new Fault('no-affixes', `“${plainName(affixes.name)}” says nothing of how words change.`)
  const words = readWords(dic).size
  if (!words) throw new Fault('no-words', `“${plainName(chosen.name)}” holds no words.`)
  return { name: plainName(chosen.name), aff, dic, words }
}

const isArchive = ({ name, bytes }: NamedBytes): boolean =>
  /\.(oxt|zip|xpi)$/i.test(name) || (bytes[0] === 0x50 && bytes[1] === 0x4b && bytes[2] === 3)

function unpacked({ bytes }: NamedBytes): NamedBytes[] {
  const wanted = (name: string): boolean => /\.(aff|dic)$/i.test(name) && !/(^|\/)hyph_/i.test(name)
  const found = readZip(bytes, wanted, { entry: LARGEST, total: 2 * LARGEST, entries: 5000 })
  return [...found].map(([name, b]) => ({ name, bytes: b }))
}

/** The list of words among what was chosen. */
function chosenOf(lists: readonly NamedBytes[], affixFiles: readonly NamedBytes[], language: string): NamedBytes {
  const named = (f: NamedBytes): boolean =>
    plainName(f.name).toLowerCase().replaceAll('_', '-').startsWith(language.toLowerCase())
  const [only, ...others] = lists
  if (!only)
    throw affixFiles.length
      ? new Fault('no-list', 'This is how words change, without the words: the file that ends in .dic belongs to it.')
      : new Fault(
          'no-list',
          'No dictionary is in that: it has a file that ends in .dic, or is a list with a word in each line.',
        )
  if (!others.length) return only
  const fitting = lists.filter(named)
  const [one] = fitting
  if (one && (fitting.length === 1 || fitting.every(f => stemOf(f.name).startsWith(stemOf(one.name))))) return one
  const names = lists.map(f => plainName(f.name)).join(', ')
  throw new Fault('several', `Several dictionaries are in that (${names}): bring in one.`)
}

const plainName = (name: string): string => name.slice(name.lastIndexOf('/') + 1)
const stemOf = (name: string): string => name.replace(/\.[a-z]+$/i, '').toLowerCase()

/** Names of charsets as dictionaries have them, where the standard has another. */
const CHARSETS: readonly (readonly [RegExp, string])[] = [
  [/^ISO-?8859-(\d+)$/i, 'iso-8859-$1'],
  [/^microsoft-cp(\d+)$/i, 'windows-$1'],
  [/^cp(\d+)$/i, 'windows-$1'],
  [/^TIS620.*$/i, 'windows-874'],
]

/** The charset that an affix file says. */
function charsetOf({ bytes }: NamedBytes): string | undefined {
  const head = new TextDecoder('iso-8859-1').decode(bytes.subarray(0, 65_536))
  return /^(?:\u00EF\u00BB\u00BF)?\s*SET\s+(\S+)/m.exec(head)?.[1]
}

function decodedBy({ name, bytes }: NamedBytes, charset: string | undefined): string {
  if (bytes.length > LARGEST) throw new Fault('too-large', `“${plainName(name)}” is larger than a dictionary is.`)
  if (charset === undefined)
    try {
      return new TextDecoder('utf-8', { fatal: true }).decode(bytes)
    } catch {
      return new TextDecoder('windows-1252').decode(bytes)
    }
  const label = CHARSETS.reduce((said, [form, standard]) => said.replace(form, standard), charset)
  let decoder: TextDecoder
  try {
    decoder = new TextDecoder(label)
  } catch {
    throw new Fault('charset', `“${plainName(name)}” is written in a way that is not known here (${charset}).`)
  }
  return decoder.decode(bytes)
}
