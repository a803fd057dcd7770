/**
 * The journal's second copy: one file for each window, in the browser's own file system. A worker of its own writes it, so that
 * a key reaches the operating system while the page is still at work on it, and outlives even the death of the whole browser.
 * A record is its length, ten figures, and JSON behind it; what stands behind the record is of an older one.
 */
interface SyncFile {
  write(bytes: Uint8Array, at: { at: number }): number
  truncate(size: number): void
}
interface Start {
  folder: string
  file: string
}

let file: Promise<SyncFile | undefined> | undefined

async function open({ folder, file: name }: Start): Promise<SyncFile | undefined> {
  try {
    const root = await navigator.storage.getDirectory()
    const handle = await (await root.getDirectoryHandle(folder, { create: true })).getFileHandle(name, { create: true })
    return await (handle as unknown as { createSyncAccessHandle(): Promise<SyncFile> }).createSyncAccessHandle()
  } catch {
    // Without it local storage still keeps what is typed.
    return undefined
  }
}

onmessage = ({ data }: MessageEvent<Start | string>) => {
  if (typeof data !== 'string') {
    file = open(data)
    return
  }
  const bytes = new TextEncoder().encode(data)
  const record = new Uint8Array(bytes.length + 10)
  record.set(new TextEncoder().encode(String(bytes.length).padStart(10, '0')))
  record.set(bytes, 10)
  void file?.then(f => {
    try {
      f?.write(record, { at: 0 })
    } catch {
      // A full disk: the first copy stands, and the page says so where that fails, too.
    }
  })
}
