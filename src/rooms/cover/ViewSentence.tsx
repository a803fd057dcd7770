'use client'
import { ChoiceValue } from '@/parts/Sentence'

/** How the cover is looked at. */
export interface Look {
  /** The whole flat, the same as it is cut, the front, or the front as small as shops show it. */
  what: 'flat' | 'trimmed' | 'front' | 'small'
  zones: boolean
  greys: boolean
}

export const usualLook: Look = { what: 'flat', zones: true, greys: false }

export function ViewSentence({ look, onLook }: { look: Look; onLook: (look: Look) => void }) {
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
      , in{' '}
      <ChoiceValue
        label="Colours or greys"
        value={look.greys ? 'greys' : 'colours'}
        disabled={false}
        choices={[
          { value: 'colours', words: 'colours' },
          { value: 'greys', words: 'greys' },
        ]}
        onChange={v => onLook({ ...look, greys: v === 'greys' })}
      />
      .
    </p>
  )
}
