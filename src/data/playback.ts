import { Transform } from 'prosemirror-transform'
import { compact, type DocJson, readSteps, rebase, schema, textOf, writeSteps } from '@/core/book'
import { commitText, trailSince } from './changes'
import { db } from './db'
import { forgetWindow, type JournalEntry, journalOfOthers, otherWindows } from './journal'
import { keepPieces } from './pieces'
import { windowLock } from './window'

/** Gives `work` the lock of a window that is gone; where it still lives, waits until it is. */
type WhenGone = (window: string, work: () => Promise<void>) => Promise<void>

const byLock: WhenGone = async (window, work) => {
  if (!('locks' in navigator)) return work()
  await navigator.locks.request(windowLock(window), work)
}

/**
 * Plays back what windows that are gone had not written: into their sections where it fits, beside them where it does not.
 * Windows that still live keep their own; if one of them dies later, what it leaves is played then. Empty files of dead windows go.
 */
export async function playBack(whenGone: WhenGone = byLock): Promise<void> {
  const windows = await otherWindows()
  await Promise.all(
    [...windows].map(w =>
      whenGone(w, async () => {
        // Read again: another window may have been here first, or the dead one may have written more.
        const played: string[] = []
        try {
          for (const e of await journalOfOthers())
            if (e.window === w) {
              await playEntry(e)
              played.push(e.key)
            }
        } finally {
          await forgetWindow(w, played)
        }
      }),
    ),
  )
}

/** Plays one entry. Throws where its words could not be written: it stays in the journal then. */
export async function playEntry(entry: JournalEntry): Promise<void> {
  for (;;) {
    const record = await db.sections.get([entry.book, entry.section])
    // Written already, though the journal did not hear of it: the trail knows the pen.
    const known = record?.trail?.findLast(t => t.pen === entry.pen)
    const batches = entry.batches.filter(b => b.nth > (known?.nth ?? -1))
    if (!batches.length) break
    const own = readSteps(batches.flatMap(b => b.steps))
    const trail = record && trailSince(record, known ? known.rev : entry.rev)
    if (!record || !trail) {
      if (await db.books.get(entry.book)) await keepPieces(entry.book, entry.section, compact(own).map(textOf))
      break
    }
    const tr = new Transform(schema.nodeFromJSON(record.doc))
    const { steps, lost } = rebase(
      tr,
      own,
      readSteps(trail.flatMap(t => t.steps)).map(s => s.getMap()),
    )
    const inverse = [...steps].map((s, i) => s.invert(tr.docs[i]!)).reverse()
    const done = steps.length
      ? await commitText(entry.book, entry.section, record.rev, {
          forward: writeSteps(compact(steps)),
          inverse: writeSteps(compact(inverse)),
          doc: tr.doc.toJSON() as DocJson,
          pen: entry.pen,
          nth: batches[batches.length - 1]!.nth,
        })
      : { rev: 0 }
    if (!('rev' in done)) continue
    if (lost.length) await keepPieces(entry.book, entry.section, lost)
    break
  }
}
