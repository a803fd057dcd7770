'use client'
import { ChoiceValue } from '@/parts/Sentence'

/** Its colours as they are, as greys, or as the press makes them, with what it cannot marked or not. */
export type Tone = 'colours' | 'greys' | 'press' | 'marked'

/** How the cover is looked at. */
export interface Look {
  /** The whole flat, the same as it is cut, the front, the front as small as shops show it, the book folded, or every design as it would look. */
  what: 'flat' | 'trimmed' | 'front' | 'small' | 'folded' | 'designs'
  zones: boolean
  tone: Tone
}

export const usualLook: Look = { what: 'flat', zones: true, tone: 'colours' }

export function ViewSentence({
  look,
  beyond,
  onLook,
}: {
  look: Look
  /** The share of what is seen that the press’s inks cannot make. */
  beyond: number | undefined
  onLook: (look: Look) => void
}) {
  'use memo'
  return (
    <p className="views">
      You see{' '}
      <ChoiceValue
        label="What is seen"
        value={look.what}
        disabled={false}
        choices={[
          { value: 'flat', words: 'the flat' },
          { value: 'trimmed', words: 'the flat as it is cut' },
          { value: 'front', words: 'the front' },
          { value: 'small', words: 'the front small' },
          { value: 'folded', words: 'the book, folded' },
          { value: 'designs', words: 'all designs on it' },
        ]}
        onChange={v => onLook({ ...look, what: v as Look['what'] })}
      />
      {look.what === 'flat' && (
        <>
          ,{' '}
          <ChoiceValue
            label="Zones"
            value={look.zones ? 'with' : 'without'}
            disabled={false}
            choices={[
              { value: 'with', words: 'with its zones' },
              { value: 'without', words: 'without its zones' },
            ]}
            onChange={v => onLook({ ...look, zones: v === 'with' })}
          />
        </>
      )}
      {look.what !== 'folded' && look.what !== 'designs' && <ToneWords look={look} onLook={onLook} />}.
      {beyond !== undefined && <> {beyondWords(beyond)}</>}
    </p>
  )
}

/** In what colours. */
function ToneWords({ look, onLook }: { look: Look; onLook: (look: Look) => void }) {
  return (
    <>
      , in{' '}
      <ChoiceValue
        label="Colours or greys"
        value={look.tone === 'marked' ? 'press' : look.tone}
        disabled={false}
        choices={[
          { value: 'colours', words: 'colours' },
          { value: 'greys', words: 'greys' },
          { value: 'press', words: 'the press’s inks' },
        ]}
        onChange={v => onLook({ ...look, tone: v as Tone })}
      />
      {(look.tone === 'press' || look.tone === 'marked') && (
        <>
          ,{' '}
          <ChoiceValue
            label="What inks cannot make"
            value={look.tone}
            disabled={false}
            choices={[
              { value: 'press', words: 'as they print' },
              { value: 'marked', words: 'striped where they fail' },
            ]}
            onChange={v => onLook({ ...look, tone: v as Tone })}
          />
        </>
      )}
    </>
  )
}

/** How much of what is seen prints otherwise than it looks. */
function beyondWords(share: number): string {
  if (share < 0.001) return 'All of it prints as it looks on a screen.'
  const percent = share < 0.01 ? 'Less than 1 %' : `${Math.round(share * 100)} %`
  return `${percent} of it prints duller than a screen shows it.`
}
