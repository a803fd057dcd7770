import Dexie from 'dexie'
import { IDBKeyRange, indexedDB } from 'fake-indexeddb'

/** A browser's storage in Node: imported before anything that opens the store. */
Dexie.dependencies.indexedDB = indexedDB
Dexie.dependencies.IDBKeyRange = IDBKeyRange
const kept = new Map<string, string>()
Object.assign(globalThis, {
  indexedDB,
  IDBKeyRange,
  localStorage: {
    get length() {
      return kept.size
    },
    key: (i: number) => [...kept.keys()][i] ?? null,
    getItem: (k: string) => kept.get(k) ?? null,
    setItem: (k: string, v: string) => void kept.set(k, v),
    removeItem: (k: string) => void kept.delete(k),
    clear: () => kept.clear(),
  },
})
