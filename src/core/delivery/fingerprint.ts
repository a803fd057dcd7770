import { hashOf } from '../book'

const known = new WeakMap<object, string>()

/** SHA-256 of a record's JSON: whether two say the same. Remembered by identity, since records do not change in place. */
export function fingerprint(record: object): string {
  let hash = known.get(record)
  if (!hash) known.set(record, (hash = hashOf(new TextEncoder().encode(JSON.stringify(record)))))
  return hash
}
