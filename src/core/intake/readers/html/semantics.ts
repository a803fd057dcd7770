import { type Role, roles } from '../../../book'
import type { XmlElement } from '../../xml'
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
