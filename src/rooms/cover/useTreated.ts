'use client'
import { useEffect, useState } from 'react'
import type { Asset, PicturePiece } from '@/core/book'
import { treatedFrom, treatmentWord } from '@/core/cover'
import { treatPicture } from '@/data/treating'
import { useSay } from '@/parts/useSay'

/** Has a piece's picture made as it is to be treated, and says whether that is still under way. What was made once is kept. */
export function useTreated(bookId: string, { cut, tone }: PicturePiece, asset: Asset | undefined): boolean {
  const say = useSay()
  const word = treatmentWord(how(cut, tone))
  const wanted = asset && word !== undefined && !treatedFrom(asset, how(cut, tone)) ? `${asset.id} ${word}` : undefined
  const [failed, setFailed] = useState<string>()
  useEffect(() => {
    if (!wanted || !asset || failed === wanted) return
    treatPicture(bookId, asset.id, how(cut, tone)).catch((e: unknown) => {
      // It is not tried over and over: another value tries anew.
      setFailed(wanted)
      say.failed(e)
    })
  }, [wanted, failed, bookId, asset, cut, tone, say])
  return wanted !== undefined && failed !== wanted
}

const how = (cut: PicturePiece['cut'], tone: PicturePiece['tone']) => ({
  ...(cut ? { cut } : {}),
  ...(tone ? { tone } : {}),
})
