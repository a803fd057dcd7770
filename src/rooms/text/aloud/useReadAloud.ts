'use client'
import type { Editor } from '@tiptap/core'
import { useCallback, useEffect, useRef, useState } from 'react'
import { primaryTag } from '@/core/book'
import { languageName } from '@/parts/languages'
import { useLatest } from '@/parts/useLatest'
import { spokenFrom, wordAt } from './spoken'

/** The browser's voices, as far as they speak on this machine: what one elsewhere says would leave it. */
const localVoices = (): SpeechSynthesisVoice[] =>
  typeof speechSynthesis === 'undefined' ? [] : speechSynthesis.getVoices().filter(v => v.localService)

/** Reading the text aloud. */
export interface ReadAloud {
  reading: boolean
  /** Why it cannot be read. */
  without: string | undefined
  /** Begins at the cursor, or reads what is chosen; or stops. */
  toggle: () => void
}

/** Reads the open section aloud with a voice of the browser's, the word that is said marked. */
export function useReadAloud(editor: Editor | undefined, language: string): ReadAloud {
  const [voices, setVoices] = useState<SpeechSynthesisVoice[]>([])
  const [reading, setReading] = useState(false)
  const turn = useRef(0)
  useEffect(() => {
    const known = (): void => setVoices(localVoices())
    known()
    if (typeof speechSynthesis === 'undefined') return
    speechSynthesis.addEventListener?.('voiceschanged', known)
    return () => speechSynthesis.removeEventListener?.('voiceschanged', known)
  }, [])
  const stop = useCallback((): void => {
    turn.current++
    if (typeof speechSynthesis !== 'undefined') speechSynthesis.cancel()
    markSpoken(undefined, undefined)
    setReading(false)
  }, [])
  // Another section, or none: what was read is not on the desk any more.
  useEffect(() => stop, [editor, stop])
  const voice =
    voices.find(v => v.lang.replace('_', '-').toLowerCase() === language.toLowerCase()) ??
    voices.find(v => primaryTag(v.lang.replace('_', '-')) === primaryTag(language))
  const begin = useLatest((): void => {
    if (!editor || !voice) return
    const mine = ++turn.current
    const { from, to, empty } = editor.state.selection
    const pieces = empty ? spokenFrom(editor.state.doc, from) : spokenFrom(editor.state.doc, from, to)
    const say = (i: number): void => {
      const piece = pieces[i]
      if (mine !== turn.current) return
      if (!piece) return stop()
      const words = new SpeechSynthesisUtterance(piece.text)
      words.voice = voice
      words.lang = voice.lang
      words.onboundary = e => {
        if (mine === turn.current && e.name !== 'sentence') markSpoken(editor, wordAt(piece, e.charIndex, e.charLength))
      }
      words.onend = () => say(i + 1)
      words.onerror = () => mine === turn.current && stop()
      speechSynthesis.speak(words)
    }
    speechSynthesis.cancel()
    setReading(true)
    say(0)
  })
  return {
    reading,
    without: voice ? undefined : `This browser has no voice of its own for ${languageName(language)}.`,
    toggle: () => (reading ? stop() : begin()),
  }
}

/** Marks the word that is said, and brings it into sight. */
function markSpoken(editor: Editor | undefined, word: { from: number; to: number } | undefined): void {
  if (typeof Highlight === 'undefined') return
  if (!editor || !word || editor.isDestroyed || word.to > editor.state.doc.content.size)
    return void CSS.highlights.delete('spoken')
  const [from, to] = [editor.view.domAtPos(word.from), editor.view.domAtPos(word.to)]
  const range = document.createRange()
  range.setStart(from.node, from.offset)
  range.setEnd(to.node, to.offset)
  CSS.highlights.set('spoken', new Highlight(range))
  const paper = editor.view.dom.closest('.paper')?.getBoundingClientRect()
  const { top, bottom } = range.getBoundingClientRect()
  if (paper && (top < paper.top + 40 || bottom > paper.bottom - 40))
    (from.node instanceof HTMLElement ? from.node : from.node.parentElement)?.scrollIntoView({ block: 'center' })
}
