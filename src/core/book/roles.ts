/** The parts of a book and the roles that a section may play. Its place decides how it is numbered. */
export type Part = 'front' | 'body' | 'back'

export type Role =
  | 'half-title'
  | 'title-page'
  | 'copyright'
  | 'dedication'
  | 'epigraph'
  | 'contents'
  | 'foreword'
  | 'preface'
  | 'acknowledgements'
  | 'introduction'
  | 'part'
  | 'prologue'
  | 'chapter'
  | 'interlude'
  | 'epilogue'
  | 'afterword'
  | 'about-author'
  | 'also-by'
  | 'notes'
  | 'glossary'
  | 'excerpt'

interface RoleFacts {
  part: Part
  name: string
  /** Made from the book's data until the author takes it over. */
  made?: boolean
  /** Counted: "Chapter 4". */
  numbered?: boolean
  /** Listed in the contents. */
  listed?: boolean
  /** Carries a running head and a folio on its pages after the opening. */
  headed?: boolean
  /** EPUB structural semantics (W3C EPUB SSV). */
  epub: string
}

export const roles: Record<Role, RoleFacts> = {
  'half-title': { part: 'front', name: 'Half title', made: true, epub: 'halftitlepage' },
  'title-page': { part: 'front', name: 'Title page', made: true, epub: 'titlepage' },
  copyright: { part: 'front', name: 'Copyright', made: true, epub: 'copyright-page' },
  dedication: { part: 'front', name: 'Dedication', epub: 'dedication' },
  epigraph: { part: 'front', name: 'Epigraph', epub: 'epigraph' },
  contents: { part: 'front', name: 'Contents', made: true, epub: 'toc' },
  foreword: { part: 'front', name: 'Foreword', listed: true, headed: true, epub: 'foreword' },
  preface: { part: 'front', name: 'Preface', listed: true, headed: true, epub: 'preface' },
  acknowledgements: { part: 'front', name: 'Acknowledgements', listed: true, headed: true, epub: 'acknowledgments' },
  introduction: { part: 'front', name: 'Introduction', listed: true, headed: true, epub: 'introduction' },
  part: { part: 'body', name: 'Part', numbered: true, listed: true, epub: 'part' },
  prologue: { part: 'body', name: 'Prologue', listed: true, headed: true, epub: 'prologue' },
  chapter: { part: 'body', name: 'Chapter', numbered: true, listed: true, headed: true, epub: 'chapter' },
  interlude: { part: 'body', name: 'Interlude', listed: true, headed: true, epub: 'chapter' },
  epilogue: { part: 'body', name: 'Epilogue', listed: true, headed: true, epub: 'epilogue' },
  afterword: { part: 'back', name: 'Afterword', listed: true, headed: true, epub: 'afterword' },
  'about-author': { part: 'back', name: 'About the author', listed: true, headed: true, epub: 'backmatter' },
  'also-by': { part: 'back', name: 'Also by', headed: true, epub: 'backmatter' },
  notes: { part: 'back', name: 'Notes', listed: true, headed: true, epub: 'endnotes' },
  glossary: { part: 'back', name: 'Glossary', listed: true, headed: true, epub: 'glossary' },
  excerpt: { part: 'back', name: 'Excerpt', listed: true, headed: true, epub: 'backmatter' },
}

/** The order in which front matter customarily stands, for putting a new section in its place. */
export const frontOrder: Role[] = [
  'half-title',
  'title-page',
  'copyright',
  'dedication',
  'epigraph',
  'contents',
  'foreword',
  'preface',
  'acknowledgements',
  'introduction',
]
