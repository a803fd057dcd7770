'use client'
import type { Editor } from '@tiptap/core'
import { Button } from 'antd'
import { useLiveQuery } from 'dexie-react-hooks'
import { memo } from 'react'
import type { Book } from '@/core/book'
import { letPieceGo, piecesOf } from '@/data/pieces'
import { insertWords } from './commands'
import { useSay } from '@/parts/useSay'

/** Words that were written and found no place, since others had removed what they stood in: kept until the author says where they go. */
export const Pieces = memo(function Pieces({
  book,
  section,
  editor,
  readOnly,
  flush,
}: {
  book: Book
  section: string | undefined
  editor: Editor | undefined
  readOnly: boolean
  flush: () => Promise<void>
}) {
  const pieces = useLiveQuery(() => piecesOf(book.id), [book.id]) ?? []
  const say = useSay()
  const here = pieces.filter(p => p.section === section || !book.sections.some(s => s.id === p.section))
  if (!here.length) return null
  const place = async (id: number, text: string): Promise<void> => {
    insertWords(editor!, text)
    // Only when they stand in the store are they let go here.
    await flush()
    await letPieceGo(id)
  }
  return (
    <section className="pieces" aria-label="Words without a place">
      <h2>Words without a place</h2>
      <p>
        Written here while another window removed what they stood in. They are kept until you place them or let them go.
      </p>
      {here.map(p => (
        <div key={p.id} className="piece">
          <blockquote>{p.text}</blockquote>
          <Button
            size="small"
            disabled={readOnly || !editor}
            onClick={() => void place(p.id!, p.text).catch(say.failed)}
          >
            Put them at the cursor
          </Button>
          <Button size="small" type="text" disabled={readOnly} onClick={() => void letPieceGo(p.id!).catch(say.failed)}>
            Let them go
          </Button>
        </div>
      ))}
    </section>
  )
})
