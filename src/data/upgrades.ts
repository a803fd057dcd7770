import type { Transaction } from 'dexie'
import { withCurrentProfiles, withLeadInAsChoice, withPricesByCurrency, withRunParams } from '@/core/archive'
import { uidOf, withOwnIds } from '@/core/book'
import { asSteps, type OldChange } from './oldChanges'
import type { BookRecord, SectionRecord } from './records'
import { shippedRecords } from './shippedOutlets'

// How stores of earlier versions are brought up to this one. A broken record stops no other: it stays as it is, to be mended.

/** Brings every record of a table up. */
async function each(tx: Transaction, table: string, now: (value: unknown) => unknown): Promise<void> {
  await tx
    .table(table)
    .toCollection()
    .modify((v: unknown, ref) => {
      try {
        ref.value = now(v)
      } catch {
        // To be mended.
      }
    })
}

/** Version 3: sections have revisions. */
export const numberSections = async (tx: Transaction): Promise<void> => {
  await tx
    .table('sections')
    .toCollection()
    .modify((s: SectionRecord) => {
      s.rev = 1
    })
}

/** Version 4: what opens a chapter is a choice of the style. */
export async function sayLeadInAsChoice(tx: Transaction): Promise<void> {
  for (const table of ['books', 'changes']) await each(tx, table, withLeadInAsChoice)
}

/** Version 5: ids unique in the book; a history of differences, its ends found by index; versions; words that found no place. */
export async function giveOwnIds(tx: Transaction): Promise<void> {
  const sections = tx.table<SectionRecord, [string, string]>('sections')
  for (const id of (await tx.table('books').toCollection().primaryKeys()) as string[]) {
    const record = (await tx.table<BookRecord, string>('books').get(id))!
    const own = new Map((await sections.where('book').equals(id).toArray()).map(s => [s.id, s]))
    const old = record.order.map(x => own.get(x)).filter(s => s !== undefined)
    const { lastId, sections: named } = withOwnIds({ ...record, sections: old })
    await tx.table('books').put({ ...record, lastId, order: named.map(s => s.id) })
    for (const [i, s] of named.entries())
      if (s !== old[i]) await sections.put({ ...(s as SectionRecord), rev: old[i]!.rev + 1 })
  }
  await tx
    .table('changes')
    .toCollection()
    .modify((c: OldChange, ref) => {
      ref.value = asSteps(c)
    })
}

/** Version 6: what a run is stands under the values of its kind; books have a UUID. */
export async function putRunsUnderParams(tx: Transaction): Promise<void> {
  for (const table of ['books', 'changes']) await each(tx, table, withRunParams)
  // A broken one gets its UUID when it is put again.
  await each(tx, 'books', b => ({ ...(b as BookRecord), uid: uidOf(b as BookRecord) }))
}

/** Version 7: outlets are the author's, those that ship are there to begin with; prices are by currency; a profile that was frozen into a listing says in fields what it said in notes. */
export async function makeOutletsTheAuthors(tx: Transaction): Promise<void> {
  await tx.table('outlets').bulkPut(shippedRecords)
  for (const table of ['books', 'changes']) await each(tx, table, withPricesByCurrency)
  await each(tx, 'listings', withCurrentProfiles)
}
