'use client'
import { Button } from 'antd'

/** Something that can be done, as a word among others; its label tells it from its like. */
export function Act({ label, words, onAct }: { label: string; words: string; onAct: () => Promise<unknown> }) {
  return (
    <Button size="small" type="link" aria-label={label} onClick={() => void onAct()}>
      {words}
    </Button>
  )
}
