import type { Epub, EpubItem, Statement } from './epub'

/** An element of Dublin Core. */
export const dc = (name: string, value: string, attrs: Record<string, string> = {}): Statement => ({
  name: `dc:${name}`,
  value,
  attrs,
})

/** A property of the publication, or of the statement whose id `refines` names. */
export const property = (
  name: string,
  value: string,
  refines?: string,
  attrs: Record<string, string> = {},
): Statement => ({
  name: 'meta',
  value,
  attrs: { ...(refines ? { refines: `#${refines}` } : {}), property: name, ...attrs },
})

/** A name and its content, as EPUB 2 has it. */
export const named = (name: string, content: string): Statement => ({
  name: 'meta',
  value: '',
  attrs: { name, content },
})

/** All that the package says under a name of Dublin Core, in order, words without their line ends. */
export const said = ({ metadata }: Pick<Epub, 'metadata'>, name: string): Statement[] =>
  metadata.filter(s => s.name === `dc:${name}`)

/** What is said of a statement beside it. */
export const refined = (
  { metadata }: Pick<Epub, 'metadata'>,
  of: Statement | undefined,
  name: string,
): string | undefined =>
  of?.attrs.id === undefined
    ? undefined
    : metadata.find(s => s.attrs.refines === `#${of.attrs.id}` && s.attrs.property === name)?.value.trim()

/** Values of a property of the publication itself. */
export const properties = ({ metadata }: Pick<Epub, 'metadata'>, name: string): string[] =>
  metadata.filter(s => s.attrs.property === name && !s.attrs.refines).map(s => s.value.trim())

/** Its title: the one that is called the main one, or the first. */
export function titleOf(epub: Pick<Epub, 'metadata'>): string | undefined {
  const titles = said(epub, 'title')
  const main = titles.find(t => refined(epub, t, 'title-type') === 'main') ?? titles[0]
  return main?.value.replace(/\s+/g, ' ').trim() || undefined
}

export const itemWith = ({ items }: Pick<Epub, 'items'>, property: string): EpubItem | undefined =>
  items.find(i => i.properties.includes(property))

/** The picture of its cover, as EPUB 3 or EPUB 2 names it. */
export function coverOf(epub: Epub): EpubItem | undefined {
  const named = epub.metadata.find(s => s.attrs.name === 'cover')?.attrs.content
  return itemWith(epub, 'cover-image') ?? epub.items.find(i => i.id === named)
}

/** The items that are read, in order. */
export function readItems({ items, spine }: Pick<Epub, 'items' | 'spine'>): EpubItem[] {
  const byId = new Map(items.map(i => [i.id, i]))
  return spine.flatMap(s => byId.get(s.id) ?? [])
}

/** An item and those that are shown in its stead, in their order (EPUB 3.3, 3.5.2); a chain that bites its tail ends there. */
export function withFallbacks({ items }: Pick<Epub, 'items'>, item: EpubItem): EpubItem[] {
  const chain = [item]
  for (let next = item.fallback; next !== undefined; next = chain.at(-1)!.fallback) {
    const found = items.find(i => i.id === next)
    if (!found || chain.includes(found)) break
    chain.push(found)
  }
  return chain
}
