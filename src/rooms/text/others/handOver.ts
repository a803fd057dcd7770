import { slugOf } from '@/core/book'
import type { SentOut } from '@/data/rounds'
import { saveAs } from '@/parts/saveAs'
import { press } from '@/workers/client'

/** Makes the file of what goes out on a round, and hands it to the browser; gives its name. */
export async function handOver({ book, pictures, round }: SentOut): Promise<string> {
  const name = `${slugOf(book.data.title, 'book')}-${slugOf(round.to, 'reader')}`
  if (round.form === 'docx') {
    const { sections: only } = round
    const file = await press().copyOf(book, 'docx', { pictures, round, ...(only && { only }) })
    saveAs(file.bytes, `${name}.docx`, file.type)
    return `${name}.docx`
  }
  saveAs(await press().writeProject({ book, pictures }), `${name}.porchlight`, 'application/zip')
  return `${name}.porchlight`
}
