'use client'
import { App, Button } from 'antd'
import { useMemo } from 'react'
import { Cancelled } from '@/core/trade'

/** Says in passing what happened. The same object at every turn. */
export interface Say {
  /** Something was done. */
  done(words: string): void
  /** Something that is neither done nor wrong. */
  note(words: string): void
  /** Something did not come about that could. */
  warn(words: string): void
  /** Something went wrong, `at` what. What the author stopped went as it was meant to, and is not said. */
  failed(e: unknown, at?: string): void
  /** Something is being done, until the way that it gives is called. */
  during(words: string): () => void
  /** Something was done that one word takes back. */
  offer(words: string, back: string, take: () => void): void
}

/** How long a message stands, seconds: long enough to be read at leisure. */
const readingTime = (text: string): number => Math.max(4, Math.min(20, text.length / 11))

export function useSay(): Say {
  const { message } = App.useApp()
  return useMemo(
    () => ({
      // What went well is seen in the room itself: it stands no longer than a glance, and covers nothing for long.
      done: words => void message.success(words),
      note: words => void message.info(words),
      warn: words => void message.warning(words, readingTime(words)),
      failed: (e, at) => {
        if (e instanceof Cancelled) return
        const words = `${at ? `${at}: ` : ''}${e instanceof Error ? e.message : String(e)}`
        void message.error(words, readingTime(words))
      },
      during: words => message.loading(words, 0),
      offer: (words, back, take) => {
        const hide = message.info({
          duration: 6,
          content: (
            <>
              {words}{' '}
              <Button
                size="small"
                type="link"
                onClick={() => {
                  hide()
                  take()
                }}
              >
                {back}
              </Button>
            </>
          ),
        })
      },
    }),
    [message],
  )
}
