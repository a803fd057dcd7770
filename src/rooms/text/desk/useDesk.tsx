'use client'
import type { Editor } from '@tiptap/core'
import type { ReactNode } from 'react'
import { usePreferences } from '@/parts/preferences'
import { useKeys } from '@/parts/useKeys'
import { useSay } from '@/parts/useSay'
import { useReadAloud } from '../aloud/useReadAloud'
import type { Shown } from '../panel'
import { DeskPanel } from './DeskPanel'
import { useFullScreen } from './useFullScreen'
import { useMiddleLine } from './useMiddleLine'

/** The desk that the text is written on: its list of values in the place of the list of sections, and what it does while one writes. */
export function useDesk(editor: Editor | undefined, language: string, { open, onOpen }: Shown): ReactNode {
  const say = useSay()
  const { line } = usePreferences().desk
  const screen = useFullScreen()
  const aloud = useReadAloud(editor, language)
  useMiddleLine(editor, line === 'middle')
  useKeys(e => {
    if (!e.altKey || e.ctrlKey || e.metaKey || e.shiftKey) return
    if (e.code === 'KeyW' && screen.can) {
      e.preventDefault()
      void screen.toggle().catch(say.failed)
    } else if (e.code === 'KeyR') {
      e.preventDefault()
      if (aloud.without) say.note(aloud.without)
      else aloud.toggle()
    }
  }, true)
  return open ? <DeskPanel aloud={aloud} screen={screen} onClose={() => onOpen(false)} /> : undefined
}
