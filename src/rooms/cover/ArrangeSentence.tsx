'use client'
import type { Alignment } from '@/core/cover'
import type { Arrange } from './useCoverHand'

const sides: [Alignment, string][] = [
  ['left', 'left'],
  ['centre', 'centre'],
  ['right', 'right'],
  ['top', 'top'],
  ['middle', 'middle'],
  ['bottom', 'bottom'],
]

/** Bringing what is held in line: with what is safe of its panel where it is one piece, with each other where they are several. */
export function ArrangeSentence({ arrange: { count, together, align, distribute, group } }: { arrange: Arrange }) {
  const value = (words: string, act: () => void, label = words) => (
    <span className="value">
      <button type="button" onClick={act} aria-label={label}>
        {words}
      </button>
    </span>
  )
  return (
    <p className="ways">
      {count > 1 ? `Bring these ${count} in line: ` : 'Bring it in line: '}
      {sides.map(([to, words], i) => (
        <span key={to}>
          {i > 0 && ', '}
          {value(words, () => align(to), `In line: ${words}`)}
        </span>
      ))}
      {count > 2 && (
        <>
          ; space them evenly {value('across', () => distribute('across'), 'Space evenly across')} or{' '}
          {value('down', () => distribute('down'), 'Space evenly down')}
        </>
      )}
      {count > 1 && (
        <>
          ; {together ? value('let the group go', () => group(false)) : value('make them a group', () => group(true))}
        </>
      )}
      .
    </p>
  )
}
