'use client'
import { type RefObject, useEffect, useEffectEvent, useRef, useState } from 'react'
import type { Pages } from './copy'

/** What is to be shown in a frame. */
interface Shown {
  pages: Pages
  /** Undefined where it shows nothing. */
  path: string | undefined
  /** The reader's, over the page's own. */
  style: string
}

/**
 * The address of a page of the ebook, for the frame that shows it, for as long as it is shown. Where only its styles come to differ
 * the document in the frame is given them and stays; `onDressed` says when.
 */
export function usePage(
  frame: RefObject<HTMLIFrameElement | null>,
  { pages, path, style, onDressed }: Shown & { onDressed?: () => void },
): string | undefined {
  const [source, setSource] = useState<string>()
  /** What the address is of. */
  const held = useRef<{ url: string; pages: Pages; path: string }>(undefined)
  const dressed = useEffectEvent(() => onDressed?.())
  useEffect(() => {
    let wanted = true
    const show = async (): Promise<void> => {
      const there = held.current
      const doc = there && loadedIn(frame.current, there.url)
      if (doc && there.path === path && pages.alike(path, there.pages)) {
        await pages.dress(doc, style, () => wanted)
        if (wanted) dressed()
        return
      }
      const url = path === undefined ? undefined : await pages.address(path, style)
      if (!wanted) return url === undefined ? undefined : URL.revokeObjectURL(url)
      if (there) URL.revokeObjectURL(there.url)
      held.current = url === undefined || path === undefined ? undefined : { url, pages, path }
      setSource(url)
    }
    void show()
    return () => {
      wanted = false
    }
  }, [frame, pages, path, style])
  useEffect(
    () => () => {
      if (held.current) URL.revokeObjectURL(held.current.url)
      held.current = undefined
    },
    [],
  )
  return source
}

/** The document of an address, where a frame has loaded the whole of it. */
function loadedIn(frame: HTMLIFrameElement | null, url: string): Document | undefined {
  const doc = frame?.contentDocument
  return doc?.URL === url && doc.readyState === 'complete' ? doc : undefined
}
