import { unshared } from '@/core/trade'

/** Hands bytes to the browser as a file to keep. */
export function saveAs(bytes: Uint8Array | string, name: string, type: string): void {
  const url = URL.createObjectURL(new Blob([typeof bytes === 'string' ? bytes : unshared(bytes)], { type }))
  const a = document.createElement('a')
  a.href = url
  a.download = name
  document.body.append(a)
  a.click()
  a.remove()
  // The download has its own hold on the bytes by then.
  setTimeout(() => URL.revokeObjectURL(url), 60_000)
}
