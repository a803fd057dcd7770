import type { PressClient } from '@/workers/client'
import { putBook } from './books'
import { db } from './db'
import { allOutlets } from './outlets'

/** Loads the demo library on the first visit; never again, even if its books are removed. */
export async function loadDemoOnce(press: PressClient): Promise<void> {
  if (await db.settings.get('demo loaded')) return
  const list = (await (await fetch('/demo/library.json')).json()) as { books: string[] }
  const known = await allOutlets()
  for (const file of list.books) {
    const bytes = new Uint8Array(await (await fetch(`/demo/${file}`)).arrayBuffer())
    await putBook(await press.readProject(bytes, known))
  }
  await db.settings.put({ key: 'demo loaded', value: true })
}
