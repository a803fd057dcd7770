'use client'
import { Fragment, useMemo } from 'react'
import { type Doubt, everywhereKey, proofKinds } from '@/core/proof'
import { ActValue } from '@/parts/ActValue'
import type { Proofing } from './useProof'

/** So many remedies are offered. */
const OFFERED = 5

/** The doubt that is looked at: what it is, what may stand there instead, and where it is left as it is. */
export function DoubtSentence({
  doubt,
  proof,
  meant,
  readOnly,
}: {
  doubt: Doubt
  proof: Proofing
  /** Of a misspelt word what it may have been meant as; undefined while that is looked up. */
  meant: readonly string[] | undefined
  readOnly: boolean
}) {
  const { kind, was, says, about } = doubt
  const { doubts } = proof
  const key = everywhereKey(doubt)
  const alike = useMemo(
    () => (about === undefined ? 1 : doubts.filter(d => d.kind === kind && d.about === about && d.was === was).length),
    [doubts, kind, about, was],
  )
  const remedies = (doubt.remedies.length ? doubt.remedies : (meant ?? [])).slice(0, OFFERED)
  const looking =
    kind === 'spelling' && !meant && !!proof.dictionary && (!!proof.dictionary.own || !proof.dictionary.lacking)
  const [first] = remedies
  return (
    <div className="doubt" aria-label="The doubt" role="group">
      <p>
        <b>{was.trim() ? `“${was}”` : shownSpaces(was)}</b>: {says || proofKinds.find(k => k.id === kind)?.name[0]}.
      </p>
      {!readOnly && (
        <>
          {(remedies.length > 0 || looking) && (
            <p>
              Make it{' '}
              {looking
                ? '…'
                : remedies.map((words, i) => (
                    <Fragment key={words}>
                      {i > 0 && ' · '}
                      <ActValue words={named(words)} onAct={() => void proof.mend(doubt, words)} />
                    </Fragment>
                  ))}
              {first !== undefined && alike > 1 && (
                <>
                  , or “{named(first)}”{' '}
                  <ActValue words={`at all ${alike}`} onAct={() => void proof.mend(doubt, first, true)} />
                </>
              )}
              .
            </p>
          )}
          <p>
            Or leave it <ActValue words="here" onAct={() => proof.leave(doubt, 'here')} />
            {key && (
              <>
                {' '}
                · <ActValue words="in this book" onAct={() => proof.leave(doubt, 'book')} /> ·{' '}
                <ActValue words="in all my books" onAct={() => proof.leave(doubt, 'all')} />
              </>
            )}
            .
          </p>
        </>
      )}
    </div>
  )
}

const shownSpaces = (spaces: string): string => (spaces.length === 1 ? 'A space' : `${spaces.length} spaces`)

/** What stands there instead, where that is nothing that is seen. */
const named = (words: string): string => (words === '' ? 'nothing' : words.trim() ? words : 'one space')
