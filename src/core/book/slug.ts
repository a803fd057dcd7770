/** A title as names of files and ids carry it: lower case, accents taken off ("Élan" is "elan"), all else hyphens; at most `most` characters. `otherwise` where nothing of it is left. */
export function slugOf(title: string, otherwise: string, most = 80): string {
  const plain = title
    .normalize('NFD')
    .replace(/[\p{M}'’]/gu, '')
    .toLowerCase()
    .replace(/ß/g, 'ss')
    .replace(/[^a-z0-9]+/g, '-')
  return plain.replace(/^-/, '').slice(0, most).replace(/-$/, '') || otherwise
}
