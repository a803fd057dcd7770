import { type Role, roles } from '../../../book'
import type { XmlElement } from '../../../files'
import { classesOf } from './css'

/** Roles by what an element says that it is (EPUB 3 structural semantics, DPUB-ARIA). What a book makes by itself is not among them. */
const byType: Record<string, Role> = {
  'copyright-page': 'copyright',
  dedication: 'dedication',
  epigraph: 'epigraph',
  foreword: 'foreword',
  preface: 'preface',
  acknowledgments: 'acknowledgements',
  introduction: 'introduction',
  part: 'part',
  prologue: 'prologue',
  epilogue: 'epilogue',
  afterword: 'afterword',
  glossary: 'glossary',
}

/** Whether an element says that it is a page that the book makes by itself: a title page, or one that this app's own files mark so. */
export function isMade(e: XmlElement): boolean {
  const types = `${e.attrs['epub:type'] ?? ''} ${e.attrs.role ?? ''}`
  return /\b(titlepage|halftitlepage|doc-titlepage)\b/.test(types) || classesOf(e.attrs).includes('made')
}

/** Whether a role is named by a class of this app's own files: its look is how the role looks, not what the words say. */
export const isOwn = (e: XmlElement, role: Role | undefined): boolean =>
  role !== undefined && classesOf(e.attrs).includes(role)

/** The role that an element says its section has; nothing where it is one of many, or says nothing. */
export function roleOf(e: XmlElement): Role | undefined {
  // An epigraph of a chapter is a quotation, not a page.
  if (!['section', 'div', 'article', 'body'].includes(e.name)) return undefined
  const types = `${e.attrs['epub:type'] ?? ''} ${(e.attrs.role ?? '').replace(/\bdoc-/g, '')}`.trim().split(/\s+/)
  if (!types[0]) return undefined
  // This app's own files name the role itself.
  const own = classesOf(e.attrs).find(
    (c): c is Role => Object.hasOwn(roles, c) && types.includes(roles[c as Role].epub),
  )
  return own ?? types.map(t => byType[t]).find(r => r !== undefined)
}

/** What the style draws apart in this app's own files: the initial of a chapter, its first words, a title in capitals. */
const DRAWN = new Set(['initial', 'opens', 'lead', 'title', 'number'])

/** Whether an element of this app's own files is there for its look alone: that is the style's, not the words'. */
export const isDrawn = (e: XmlElement): boolean => e.name === 'span' && classesOf(e.attrs).some(c => DRAWN.has(c))
