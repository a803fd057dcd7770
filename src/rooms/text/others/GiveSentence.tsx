'use client'
import { useState } from 'react'
import type { Book, RoundForm } from '@/core/book'
import { sendRound } from '@/data/rounds'
import { ActValue } from '@/parts/ActValue'
import { ChoiceValue, TextValue } from '@/parts/Sentence'
import { useSay } from '@/parts/useSay'
import { handOver } from './handOver'

const forms: readonly { value: RoundForm; words: string; says: string }[] = [
  {
    value: 'docx',
    words: 'a word-processor file (.docx)',
    says: 'Changes are recorded in it, and remarks are comments. It may be changed in any word processor and brought back.',
  },
  {
    value: 'copy',
    words: 'a review copy, for another Porchlight',
    says: 'It holds the text and its pictures, and nothing else that you have. What is changed and said there comes back in one file.',
  },
  {
    value: 'whole',
    words: 'the whole book, for a helper',
    says: 'All of the book goes along: cover, prices, listings. What a helper changes in it comes home change by change, as words do.',
  },
]

/** Gives the text out: to whom, how much of it, as what. */
export function GiveSentence({
  book,
  picked,
  flush,
}: {
  book: Book
  picked: readonly string[]
  flush: () => Promise<void>
}) {
  const [to, setTo] = useState('')
  const [form, setForm] = useState<RoundForm>('docx')
  const [scope, setScope] = useState<'book' | 'picked'>('book')
  const [made, setMade] = useState<string>()
  const say = useSay()
  const give = async (): Promise<void> => {
    await flush()
    const only = scope === 'picked' && form !== 'whole' ? picked : undefined
    const sent = await sendRound(book.id, { to: to || 'a reader', form, ...(only && { only }) })
    if (sent) setMade(await handOver(sent))
  }
  return (
    <>
      <p>
        Give{' '}
        {form === 'whole' ? (
          'it'
        ) : (
          <ChoiceValue
            label="What is given out"
            value={scope}
            disabled={false}
            choices={[
              { value: 'book', words: 'the whole text' },
              { value: 'picked', words: picked.length > 1 ? `the ${picked.length} picked sections` : 'this section' },
            ]}
            onChange={v => setScope(v as typeof scope)}
          />
        )}{' '}
        to{' '}
        <TextValue
          label="Whom it is given to"
          value={to}
          placeholder="whom?"
          most={200}
          disabled={false}
          onTake={words => {
            setTo(words)
            return Promise.resolve(true)
          }}
        />{' '}
        as{' '}
        <ChoiceValue
          label="As what it is given out"
          value={form}
          disabled={false}
          choices={forms.map(({ value, words }) => ({ value, words }))}
          onChange={v => setForm(v as RoundForm)}
        />
        : <ActValue words="make the file" onAct={() => void give().catch(say.failed)} />.
      </p>
      <p className="help">{forms.find(f => f.value === form)!.says}</p>
      {made && (
        <p role="status">
          <b>{made}</b> is among your downloads. The text as it went is kept; go on writing meanwhile.
        </p>
      )}
    </>
  )
}
