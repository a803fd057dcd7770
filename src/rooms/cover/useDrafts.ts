'use client'
import type { CoverDesign } from '@/core/book'
import { useCommit } from '@/parts/useCommit'

/** Most covers that are kept beside the one a book wears. */
const MOST = 40

/** Covers kept beside the one that a book wears. */
export interface Drafts {
  all: readonly CoverDesign[]
  /** Keeps the worn one beside; once, however often it is asked. */
  keep: () => void
  /** Wears one; the one worn until then is kept in its place. */
  wear: (at: number) => void
  forget: (at: number) => void
}

export function useDrafts(bookId: string, all: readonly CoverDesign[], worn: CoverDesign | undefined): Drafts {
  const commit = useCommit(bookId)
  return {
    all,
    keep: () =>
      void commit('Keep the cover beside', r => {
        const design = r.cover ?? worn
        const drafts = r.coverDrafts ?? []
        const there = drafts.some(d => JSON.stringify(d) === JSON.stringify(design))
        return design && !there && drafts.length < MOST ? { coverDrafts: [...drafts, design] } : {}
      }),
    wear: at =>
      void commit('Wear a cover kept beside', r => {
        const drafts = [...(r.coverDrafts ?? [])]
        const next = drafts[at]
        const now = r.cover ?? worn
        if (!next || !now) return {}
        drafts[at] = now
        return { cover: next, coverDrafts: drafts }
      }),
    forget: at =>
      void commit('Forget a cover kept beside', r => ({
        coverDrafts: (r.coverDrafts ?? []).filter((_, i) => i !== at),
      })),
  }
}
