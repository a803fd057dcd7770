'use client'
import { useRef } from 'react'
import type { Book, Section } from '@/core/book'

/** Whether two sections are the same but for their words. */
const alike = (a: Section, b: Section): boolean => sameBut(a, b, 'doc')

function sameBut<T extends object>(a: T, b: T, ...but: (keyof T)[]): boolean {
  if (a === b) return true
  for (const k of Object.keys({ ...a, ...b }) as (keyof T)[])
    if (!but.includes(k) && !Object.is(a[k], b[k])) return false
  return true
}

/** Whether two states of a book are the same but for its words. */
export const sameOutline = (a: Book, b: Book): boolean =>
  sameBut(a, b, 'sections', 'lastId') &&
  a.sections.length === b.sections.length &&
  a.sections.every((s, i) => alike(s, b.sections[i]!))

/** The book, one and the same while only words are typed: what does not show them is not drawn anew at a key. */
export function useOutline(book: Book): Book {
  const before = useRef(book)
  if (!sameOutline(before.current, book)) before.current = book
  return before.current
}
