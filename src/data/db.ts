import Dexie, { type Table } from 'dexie'
import { withCurrentProfiles, withLeadInAsChoice, withPricesByCurrency, withRunParams } from '@/core/archive'
import { uidOf, withOwnIds } from '@/core/book'
import type { OldChange } from './oldChanges'
import type {
  BlobRecord,
  BookRecord,
  ChangeRecord,
  ListingRecord,
  OutletRecord,
  PieceRecord,
  SectionRecord,
  SettingRecord,
  VersionRecord,
} from './records'

/** The outlets that ship: no part of the program's start, but for the first. */
const shippedRecords = async (): Promise<OutletRecord[]> =>
  (await Dexie.waitFor(import('./shippedOutlets'))).shippedRecords

class PorchlightDb extends Dexie {
  books!: Table<BookRecord, string>
  sections!: Table<SectionRecord, [string, string]>
  blobs!: Table<BlobRecord, string>
  settings!: Table<SettingRecord, string>
  changes!: Table<ChangeRecord, number>
  listings!: Table<ListingRecord, string>
  versions!: Table<VersionRecord, number>
  pieces!: Table<PieceRecord, number>
  outlets!: Table<OutletRecord, string>
  /** Pictures as screens show them, made by the press; they can be made again. */
  previews!: Table<{ hash: string; blob: Blob }, string>

  constructor() {
    // "Saved" is said when the disk has it.
    super('porchlight', { chromeTransactionDurability: 'strict' })
    this.version(1).stores({ books: 'id', sections: '[book+id], book', blobs: 'hash', settings: 'key' })
    this.version(2).stores({ changes: '++id, book' })
    this.version(3)
      .stores({ sections: '[book+id], book, [book+id+rev]', listings: 'key, book' })
      .upgrade(tx =>
        tx
          .table('sections')
          .toCollection()
          .modify((s: SectionRecord) => {
            s.rev = 1
          }),
      )
    this.version(4)
      .stores({})
      .upgrade(async tx => {
        await tx
          .table('books')
          .toCollection()
          .modify((b, ref) => {
            ref.value = withLeadInAsChoice(b)
          })
        await tx
          .table('changes')
          .toCollection()
          .modify((c, ref) => {
            ref.value = withLeadInAsChoice(c)
          })
      })
    // Ids unique in the book; a history of differences, its ends found by index; versions; words that found no place.
    this.version(5)
      .stores({
        changes: '++id, book, [book+state+id]',
        versions: '++id, book',
        pieces: '++id, book',
        previews: 'hash',
      })
      .upgrade(async tx => {
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
        // Wanted once in the life of a store: it is no part of the program's start.
        const { asSteps } = await Dexie.waitFor(import('./oldChanges'))
        await tx
          .table('changes')
          .toCollection()
          .modify((c: OldChange, ref) => {
            ref.value = asSteps(c)
          })
      })
    // What a run is stands under the values of its kind.
    this.version(6)
      .stores({})
      .upgrade(async tx => {
        for (const name of ['books', 'changes'])
          await tx
            .table(name)
            .toCollection()
            .modify((v: unknown, ref) => {
              ref.value = withRunParams(v)
            })
        await tx
          .table('books')
          .toCollection()
          .modify((b: BookRecord) => {
            try {
              b.uid = uidOf(b)
            } catch {
              // A broken record stops no other: it waits to be mended, and gets its UUID when it is put again.
            }
          })
      })
    // Outlets are the author's: those that ship are there to begin with. Prices are by currency; a profile that was frozen into a
    // listing says in fields what it said in notes.
    this.version(7)
      .stores({ outlets: 'id, place' })
      .upgrade(async tx => {
        await tx.table('outlets').bulkPut(await shippedRecords())
        for (const [name, now] of [
          ['books', withPricesByCurrency],
          ['changes', withPricesByCurrency],
          ['listings', withCurrentProfiles],
        ] as const)
          await tx
            .table(name)
            .toCollection()
            .modify((v: unknown, ref) => {
              try {
                ref.value = now(v)
              } catch {
                // A broken record stops no other: it stays as it is, to be mended.
              }
            })
      })
    this.on('populate', async tx => {
      await tx.table('outlets').bulkPut(await shippedRecords())
    })
  }
}

export const db = new PorchlightDb()
