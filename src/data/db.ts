import Dexie, { type Table, type Transaction } from 'dexie'
import type {
  BlobRecord,
  BookRecord,
  ChangeRecord,
  ListingRecord,
  OutletRecord,
  PieceRecord,
  SectionRecord,
  SettingRecord,
  TallyRecord,
  VersionRecord,
} from './records'
import type * as Upgrades from './upgrades'

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
  tallies!: Table<TallyRecord, [string, string]>
  /** Pictures as screens show them, made by the press; they can be made again. */
  previews!: Table<{ hash: string; blob: Blob }, string>

  /** Pictures as they go into ebooks, by their originals; they can be made again. */
  lighter!: Table<{ hash: string }, string>

  /** What the runs of a book ask, by names that twins share, as the press made it last; it can be made again. */
  twins!: Table<{ book: string; names: string[] }, string>

  constructor() {
    // "Saved" is said when the disk has it.
    super('porchlight', { chromeTransactionDurability: 'strict' })
    this.version(1).stores({ books: 'id', sections: '[book+id], book', blobs: 'hash', settings: 'key' })
    this.version(2).stores({ changes: '++id, book' })
    this.version(3)
      .stores({ sections: '[book+id], book, [book+id+rev]', listings: 'key, book' })
      .upgrade(tx => upgrade(tx, 'numberSections'))
    this.version(4)
      .stores({})
      .upgrade(tx => upgrade(tx, 'sayLeadInAsChoice'))
    this.version(5)
      .stores({
        changes: '++id, book, [book+state+id]',
        versions: '++id, book',
        pieces: '++id, book',
        previews: 'hash',
      })
      .upgrade(tx => upgrade(tx, 'giveOwnIds'))
    this.version(6)
      .stores({})
      .upgrade(tx => upgrade(tx, 'putRunsUnderParams'))
    this.version(7)
      .stores({ outlets: 'id, place' })
      .upgrade(tx => upgrade(tx, 'makeOutletsTheAuthors'))
    this.version(8).stores({ twins: 'book' })
    this.version(9).stores({ lighter: 'hash' })
    this.version(10).stores({ tallies: '[book+day], book, day' })
    this.on('populate', async tx => {
      // The outlets that ship: no part of the program's start, but for the first.
      const { shippedRecords } = await Dexie.waitFor(import('./shippedOutlets'))
      await tx.table('outlets').bulkPut(shippedRecords)
    })
  }
}

/** Each is wanted once in the life of a store: they are no part of the program's start. */
async function upgrade(tx: Transaction, name: keyof typeof Upgrades): Promise<void> {
  const upgrades = await Dexie.waitFor(import('./upgrades'))
  await upgrades[name](tx)
}

export const db = new PorchlightDb()
