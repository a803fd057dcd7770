'use client'
import { isShops, type ListingDraft } from '@/core/book'
import type { OutletProfile } from '@/core/trade'
import { TextValue } from '@/parts/Sentence'
import { useSay } from '@/parts/useSay'

/** Where readers find the edition at its outlet: the lists of the author's other books lead there. */
export function Address({
  draft,
  profile,
  readOnly,
  onChange,
}: {
  draft: ListingDraft
  profile: OutletProfile
  readOnly: boolean
  onChange: (address: string) => Promise<boolean>
}) {
  const say = useSay()
  const take = async (typed: string): Promise<boolean> => {
    const address = typed && !/^[a-z]+:/i.test(typed) ? `https://${typed}` : typed
    if (address && !isShops(`${profile.id} ${address}`)) {
      say.warn(`“${typed}” is no address of a page in the web, such as https://${profile.id}.example/books/1.`)
      return false
    }
    return onChange(address)
  }
  return (
    <p className="said address">
      Readers find it there at{' '}
      <TextValue
        label={`Address at ${profile.name}`}
        value={draft.address ?? ''}
        placeholder="no address yet"
        most={1000}
        disabled={readOnly}
        onTake={take}
      />
      , and your other books lead there where they name it.
    </p>
  )
}
