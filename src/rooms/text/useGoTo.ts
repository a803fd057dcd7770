'use client'
import type { Editor } from '@tiptap/core'
import { useSearchParams } from 'next/navigation'
import { useEffect, useRef, useState } from 'react'
import { goToPlace } from './places'

/** A block of the text. */
export interface BlockPlace {
  section: string
  block: string
}

/** Takes the cursor to the place that the address asks for, once, and to those that are asked for later; each when its section is in the editor. */
export function useGoTo(editor: Editor | undefined, sectionId: string | undefined): (place: BlockPlace) => void {
  const params = useSearchParams()
  const [asked, block] = [params.get('section'), params.get('block')]
  const chars = Number(params.get('chars')) || 0
  const went = useRef('')
  const [going, setGoing] = useState<BlockPlace>()
  useEffect(() => {
    if (!going || !editor || sectionId !== going.section) return
    requestAnimationFrame(() => !editor.isDestroyed && goToPlace(editor, { block: going.block, chars: 0 }))
    setGoing(undefined)
  }, [going, editor, sectionId])
  useEffect(() => {
    const key = `${asked}/${block}/${chars}`
    if (!editor || !block || sectionId !== asked || went.current === key) return
    went.current = key
    requestAnimationFrame(() => !editor.isDestroyed && goToPlace(editor, { block, chars }))
  }, [editor, block, chars, asked, sectionId])
  return setGoing
}
