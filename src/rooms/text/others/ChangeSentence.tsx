'use client'
import dayjs from 'dayjs'
import type { Part } from '@/core/compare'
import type { ReviewDifference } from '@/core/review'
import { ActValue } from '@/parts/ActValue'
import type { Looking } from './useReturn'

const did: Record<ReviewDifference['kind'], string> = {
  words: 'wrote',
  set: 'set it otherwise',
  came: 'wrote something new',
  went: 'took this out',
  moved: 'moved this',
  title: 'changed the title',
  record: 'changed what the book says of itself',
}

/** When something was done, as it is said. */
export const momentOf = (when: number): string => (when ? dayjs(when).format('D MMM YYYY, H:mm') : '')

/** The change that is looked at: who made it and when, what it is, and whether it is taken; where both wrote the same, three texts. */
export function ChangeSentence({ d, looking, readOnly }: { d: ReviewDifference; looking: Looking; readOnly: boolean }) {
  const { clash, by, when, about, kind, parts } = d
  return (
    <div className="doubt change" aria-label="The change" role="group">
      <p>
        <b>{by}</b>
        {when ? `, ${momentOf(when)},` : ''} {about && kind === 'moved' ? about : did[kind]}
        {about && kind !== 'moved' ? ` (${about})` : ''}
        {clash ? '; you changed the same since.' : ':'}
      </p>
      {clash ? (
        <dl>
          <dt>It went out as</dt>
          <dd>{clash.sent || <i>nothing</i>}</dd>
          <dt>{by} made it</dt>
          <dd>{clash.theirs || <i>nothing</i>}</dd>
          <dt>You made it</dt>
          <dd>{clash.yours || <i>nothing</i>}</dd>
        </dl>
      ) : (
        <blockquote>
          <Words parts={parts} />
        </blockquote>
      )}
      {!readOnly && (
        <p>
          <ActValue words={clash ? `Take ${by}’s` : 'Take it'} onAct={() => looking.take([d])} />, or{' '}
          <ActValue words={clash ? 'keep yours' : 'refuse it'} onAct={() => looking.refuse([d])} />.
        </p>
      )}
    </div>
  )
}

/** Words with what goes struck and what comes underlined. */
export function Words({ parts }: { parts: readonly Part[] }) {
  return parts.map((p, i) =>
    p.is === 'same' ? (
      <span key={i}>{p.text}</span>
    ) : p.is === 'gone' ? (
      <del key={i}>{p.text}</del>
    ) : (
      <ins key={i}>{p.text}</ins>
    ),
  )
}
