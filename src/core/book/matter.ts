import { strToU8 } from 'fflate'
import { picturesIn, type Asset, type Book, type Section } from './book'
import type { DocJson } from './doc'
import { hashOf } from './hash'
import { Ids, renameIds } from './identity'
import { retargeted } from './innerLinks'
import { addSection, newSection } from './ops'
import type { Role } from './roles'
import { type Recording, usedRecordings } from './recordings'
import { schema } from './schema'

/** A section that is used in book after book, kept once for all of them. */
export interface StandingMatter {
  id: string
  /** What the author calls it. */
  name: string
  role: Role
  title: string
  subtitle?: string
  doc: DocJson
  /** Pictures that it shows, and recordings that it plays. */
  assets: Asset[]
  recordings?: Recording[]
  /** Packages at outlets, by the hash of their bytes, that hold what was kept before. */
  former?: string[]
}

/** Where a section stands to the matter that it follows. */
export type MatterState =
  /** It says what is kept. */
  | 'as kept'
  /** It says what was kept before. */
  | 'behind'
  /** It was changed in its book. */
  | 'changed here'

/** What a section or a piece of matter says, as a short name: ids of blocks are no part of it, nor how its words came to be stored. */
export function saidBy({ title, subtitle, doc }: Pick<Section, 'title' | 'subtitle' | 'doc'>): string {
  // Every block by its number in the text, and links within the text to that.
  const names = new Map<string, string>()
  let count = 0
  const counted = renameIds(doc, id => {
    const own = `b${++count}`
    if (id) names.set(id, own)
    return own
  })
  const [bare] = retargeted([{ made: false, doc: counted }], to => names.get(to))
  return hashOf(strToU8(JSON.stringify([title, subtitle ?? '', written(bare!.doc)]))).slice(0, 20)
}

/** As the schema writes it: neighbours of one look are one, every attribute is said. What it does not know says what it says. */
function written(doc: DocJson): unknown {
  try {
    return schema.nodeFromJSON(doc).toJSON()
  } catch {
    return doc
  }
}

/** Where a section stands to its matter; undefined where it follows none. */
export function matterState(s: Section, kept: StandingMatter | undefined): MatterState | undefined {
  if (!s.matter || !kept || s.made) return undefined
  const said = saidBy(s)
  return said === saidBy(kept) ? 'as kept' : said === s.matter.said ? 'behind' : 'changed here'
}

/** A section as standing matter. Links into its book do not go along: their words do. */
export function asMatter(book: Book, s: Section, { id, name }: Pick<StandingMatter, 'id' | 'name'>): StandingMatter {
  const own = new Set(blockNames(s.doc))
  const [bare] = retargeted([{ made: false, doc: s.doc }], to => (own.has(to) ? undefined : null))
  const shown = new Set(picturesIn({ ...s, made: false }).map(p => p.asset))
  const played = usedRecordings(book.recordings, [{ ...s, made: false }])
  return {
    id,
    name,
    role: s.role,
    title: s.title,
    ...(s.subtitle ? { subtitle: s.subtitle } : {}),
    doc: bare!.doc,
    assets: book.assets.filter(a => shown.has(a.id)),
    ...(played.length ? { recordings: played } : {}),
  }
}

/** The book with a piece of standing matter as a section that follows it, where its kind stands. */
export function placeMatter(book: Book, kept: StandingMatter): Book {
  const fresh = { ...newSection(book, kept.role), made: false }
  return follow(addSection(book, fresh), fresh.id, kept)
}

/** The book in which a section says what is kept, and follows it. */
export function follow(book: Book, section: string, kept: StandingMatter): Book {
  const ids = new Ids(book.lastId)
  const names = new Map<string, string>()
  const doc = renameIds(kept.doc, (id, type) => {
    const own = type === 'footnote' ? ids.note() : ids.block()
    if (id) names.set(id, own)
    return own
  })
  const [own] = retargeted([{ made: false, doc }], to => names.get(to))
  const said = saidBy(kept)
  const lacking = kept.assets.filter(a => !book.assets.some(b => b.id === a.id))
  const unheard = (kept.recordings ?? []).filter(r => !book.recordings?.some(b => b.id === r.id))
  return {
    ...book,
    lastId: ids.last,
    ...(lacking.length ? { assets: [...book.assets, ...lacking] } : {}),
    ...(unheard.length ? { recordings: [...(book.recordings ?? []), ...unheard] } : {}),
    sections: book.sections.map(s => {
      if (s.id !== section) return s
      const { subtitle: _, ...rest } = s
      return {
        ...rest,
        made: false,
        title: kept.title,
        ...(kept.subtitle ? { subtitle: kept.subtitle } : {}),
        doc: own!.doc,
        matter: { id: kept.id, said },
      }
    }),
  }
}

/** The book with every section that is behind a piece of matter brought up to date; what was changed there stays. The very same where none is. */
export const withMatter = (book: Book, kept: StandingMatter): Book =>
  book.sections
    .filter(s => s.matter?.id === kept.id && matterState(s, kept) === 'behind')
    .reduce((b, s) => follow(b, s.id, kept), book)

/** The book in which a section is its own again, as it stands. */
export const unfollowed = (book: Book, section: string): Book => ({
  ...book,
  sections: book.sections.map(({ matter, ...s }) => (s.id === section || !matter ? s : { ...s, matter })),
})

function blockNames(doc: DocJson): string[] {
  const out: string[] = []
  renameIds(doc, id => {
    if (id) out.push(id)
    return undefined
  })
  return out
}
