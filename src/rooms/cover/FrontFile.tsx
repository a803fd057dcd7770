'use client'
import { useState } from 'react'
import { ActValue } from '@/parts/ActValue'
import { megabytes } from '@/parts/megabytes'
import { bringUpToDate } from '@/parts/openBook'
import { saveAs } from '@/parts/saveAs'
import { ChoiceValue } from '@/parts/Sentence'
import { usePress } from '@/parts/usePress'
import { useSay } from '@/parts/useSay'
import { press } from '@/workers/client'

type Kind = 'jpeg' | 'png'
const kinds = [
  { value: 'jpeg', words: 'JPEG' },
  { value: 'png', words: 'PNG' },
]

/** The front as a file for shops, of the size that the outlet takes: what it weighs is said before it is taken. */
export function FrontFile({
  bookId,
  editionId,
  outletId,
  outlet,
  front,
}: {
  bookId: string
  editionId: string
  outletId: string | undefined
  outlet: string | undefined
  /** As it is seen: another one weighs otherwise. */
  front: ImageBitmap
}) {
  const say = useSay()
  const [kind, setKind] = useState<Kind>('jpeg')
  const { answer } = usePress(
    async press => press.frontFile(bookId, editionId, kind, outletId),
    [bookId, editionId, kind, outletId],
    { anew: [front] },
  )
  const take = async (): Promise<void> => {
    try {
      await bringUpToDate(bookId)
      const { name, bytes } = await press().frontFile(bookId, editionId, kind, outletId)
      saveAs(bytes, name, `image/${kind}`)
      say.done(name)
    } catch (e) {
      say.failed(e)
    }
  }
  const heavy = answer?.most !== undefined && answer.bytes.length > answer.most * 1e6
  return (
    <p className="frontfile">
      <ActValue words="Take it" onAct={() => void take()} /> as a{' '}
      <ChoiceValue
        label="Kind of the front’s file"
        value={kind}
        disabled={false}
        choices={kinds}
        onChange={v => setKind(v as Kind)}
      />
      {answer && (
        <>
          , {answer.width} × {answer.height} pixels in sRGB, {megabytes(answer.bytes.length)}
          {answer.most !== undefined &&
            outlet &&
            (heavy ? `: ${outlet} takes only ${answer.most} MB` : ` of the ${answer.most} MB that ${outlet} takes`)}
        </>
      )}
      .
    </p>
  )
}
