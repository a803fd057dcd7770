'use client'
import { Input, type InputRef, Select } from 'antd'
import { useRef, useState } from 'react'
import { type MarketId, markets } from '@/core/market'
import { isTyping, useKeys } from '@/parts/useKeys'

/** The question: a word, and whose readers are asked. */
export function Ask({
  word,
  market,
  onWord,
  onMarket,
}: {
  word: string
  market: MarketId
  onWord: (word: string) => void
  onMarket: (market: MarketId) => void
}) {
  const [draft, setDraft] = useState<string>()
  const find = useRef<InputRef>(null)
  useKeys(e => {
    if (isTyping(e) || e.key !== '/') return
    e.preventDefault()
    find.current?.focus()
  })
  return (
    <>
      <Input
        ref={find}
        aria-label="A word or phrase"
        placeholder="a word readers might type ( / )"
        value={draft ?? word}
        onChange={e => setDraft(e.target.value)}
        onPressEnter={() => {
          onWord((draft ?? word).trim())
          setDraft(undefined)
        }}
        onBlur={() => setDraft(undefined)}
        onKeyDown={e => e.key === 'Escape' && setDraft(undefined)}
        style={{ width: 270 }}
      />
      <span>
        readers in{' '}
        <Select
          variant="borderless"
          size="small"
          aria-label="Market"
          value={market}
          options={markets.map(m => ({ value: m.id, label: m.name }))}
          onChange={onMarket}
          popupMatchSelectWidth={150}
        />
      </span>
    </>
  )
}
