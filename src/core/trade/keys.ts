/** Keys that every object has from its prototype: as keys of data they are read as something else. */
const inherited = new Set(['__proto__', 'constructor', 'prototype', 'hasOwnProperty', 'toString', 'valueOf'])

/** Where a JSON value has a key that data must not have: the path of what holds it, and the key. */
export function strangeKey(value: unknown, path = ''): { path: string; key: string } | undefined {
  if (!value || typeof value !== 'object') return undefined
  for (const key of Object.keys(value)) {
    if (inherited.has(key)) return { path, key }
    const found = strangeKey(
      (value as Record<string, unknown>)[key],
      Array.isArray(value) ? `${path}[${key}]` : path ? `${path}.${key}` : key,
    )
    if (found) return found
  }
  return undefined
}
