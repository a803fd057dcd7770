import { sha256 } from '@noble/hashes/sha2.js'

/** SHA-256 in hex: the name of every stored file. */
export const hashOf = (bytes: Uint8Array): string =>
  [...sha256(bytes)].map(b => b.toString(16).padStart(2, '0')).join('')
