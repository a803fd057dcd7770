'use client'
import { type Book, slugOf } from '@/core/book'
import { copyGoingBack, nameReader } from '@/data/rounds'
import { ActValue } from '@/parts/ActValue'
import { saveAs } from '@/parts/saveAs'
import { TextValue } from '@/parts/Sentence'
import { useSay } from '@/parts/useSay'
import { press } from '@/workers/client'
import { PanelFrame } from '../PanelFrame'
import { momentOf } from './ChangeSentence'

/** Of somebody else's text: whose it is, who reads it here, and how it goes back. */
export function ReaderPanel({
  book,
  readOnly,
  flush,
  onClose,
}: {
  book: Book
  readOnly: boolean
  flush: () => Promise<void>
  onClose: () => void
}) {
  const say = useSay()
  const review = book.review!
  const sendBack = async (): Promise<void> => {
    await flush()
    const copy = await copyGoingBack(book.id)
    if (!copy) return
    const name = `${slugOf(book.data.title, 'book')}-from-${slugOf(review.by, 'reader')}.porchlight`
    saveAs(await press().writeProject(copy), name, 'application/zip')
    say.note(`${name} is among your downloads: send it to ${review.from || 'whoever gave it to you'}.`)
  }
  return (
    <PanelFrame
      name="Read for somebody"
      title={`Read for ${review.from || 'somebody'}`}
      kind="others"
      close="Close it"
      onClose={onClose}
    >
      <p>
        This is {review.from ? `${review.from}’s` : 'somebody else’s'} text, given out {momentOf(review.at)}. You read
        it as{' '}
        <TextValue
          label="Your name"
          value={review.by}
          placeholder="who?"
          most={200}
          disabled={readOnly}
          onTake={by => nameReader(book.id, by).then(() => true)}
        />
        .
      </p>
      <p>
        Write in it as in a text of your own: all that you change is a suggestion. Choose words to say something of
        them. <ActValue words="Make the file that goes back" onAct={() => void sendBack().catch(say.failed)} />.
      </p>
      <p className="help">It may go back as often as you like; what was taken or refused already is not asked again.</p>
    </PanelFrame>
  )
}
