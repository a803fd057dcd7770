'use client'
import { useState } from 'react'
import type { CoverPiece } from '@/core/book'
import { togetherWith } from './coverChanges'

/** Which pieces are held; the last of them is the one that is said. */
export function useHeld(pieces: readonly CoverPiece[], begin: string | undefined) {
  const [held, hold] = useState<readonly string[]>(begin ? [begin] : [])
  const choose = (id: string | undefined, more = false): void => {
    if (id === undefined) return hold([])
    const ids = togetherWith(pieces, id)
    // The one that was pointed at is the one that is said.
    const last = [...ids.filter(x => x !== id), id]
    if (!more) return hold(last)
    hold(held.includes(id) ? held.filter(x => !ids.includes(x)) : [...held.filter(x => !ids.includes(x)), ...last])
  }
  return { held, hold, choose }
}
