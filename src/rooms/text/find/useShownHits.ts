import type { Editor } from '@tiptap/core'
import { useEffect } from 'react'
import type { Hit } from '@/core/book'
import { drawMarks } from '../shown/drawMarks'
import type { LinePlace } from '../shown/lineRange'
import { useShow } from '../shown/useShow'
import type { Find } from './useFind'

/** Marks in the open section what was found there, and shows the place that is looked at when its section is in the editor. */
export function useShownHits(
  editor: Editor | undefined,
  section: string | undefined,
  { find, turn }: { find: Find | undefined; turn: number },
): (section: string, hit: Hit) => void {
  const show = useShow(editor, section)
  const here = find?.found.find(f => f.section.id === section)?.hits
  const now = find && find.found.flatMap(f => f.hits)[find.at]
  useEffect(() => {
    if (!editor || editor.isDestroyed || !here) return
    drawMarks('found', editor, here.map(placeOf))
    drawMarks('found-now', editor, now && here.includes(now) ? [placeOf(now)] : [])
    return () => {
      drawMarks('found', undefined, [])
      drawMarks('found-now', undefined, [])
    }
  }, [editor, here, now, turn])
  return (to, hit) => show(to, placeOf(hit))
}

const placeOf = ({ in: { block, row }, from, to }: Hit): LinePlace => ({ block, row, from, to })
