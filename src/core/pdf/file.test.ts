import { describe, expect, test } from '@jest/globals'
import fc from 'fast-check'
import { inflateSync } from 'node:zlib'
import { joinBytes } from '../trade'
import { type Deflate, streamDeflate } from './deflate'
import { PdfFile } from './file'

/** A file of streams and objects, in this order, as text. */
async function written(parts: (string | number)[], deflate: Deflate): Promise<string> {
  const chunks: Uint8Array[] = []
  const file = new PdfFile(c => chunks.push(c), deflate)
  for (const p of parts)
    if (typeof p === 'string') file.stream(Buffer.from(p))
    else file.object({ Number: p })
  await file.end(file.object({ Type: 'Catalog' }), file.object({}))
  return Buffer.from(joinBytes(chunks)).toString('latin1')
}

const parts = fc.array(fc.oneof(fc.nat(999), fc.string({ minLength: 1, maxLength: 40 })), { maxLength: 20 })

describe('a PDF that is written while it is packed', () => {
  test('is the same whichever stream is packed first, and every offset leads to its object', async () => {
    await fc.assert(
      fc.asyncProperty(parts, fc.infiniteStream(fc.nat(3)), async (list, waits) => {
        const slow: Deflate = async bytes => {
          for (let n = waits.next().value!; n > 0; n--) await new Promise(r => setImmediate(r))
          return streamDeflate(bytes)
        }
        const text = await written(list, slow)
        expect(text).toBe(await written(list, streamDeflate))
        const [, count] = /xref\n0 (\d+)/.exec(text)!
        const table = text.slice(text.indexOf('xref\n')).split('\n')
        for (let n = 1; n < Number(count); n++) {
          const offset = Number(table[n + 2]!.slice(0, 10))
          expect(text.slice(offset).startsWith(`${n} 0 obj\n`)).toBe(true)
        }
        const texts = list.filter(p => typeof p === 'string')
        const streams = [...text.matchAll(/\/Length (\d+)[^]*?stream\n/g)].map(m =>
          inflateSync(Buffer.from(text.slice(m.index + m[0].length, m.index + m[0].length + Number(m[1])), 'latin1')),
        )
        expect(streams.map(String)).toEqual(texts.map(t => String(Buffer.from(t))))
      }),
      { numRuns: 40 },
    )
  })
  test('says what packing threw, once it is waited for', async () => {
    const broken: Deflate = bytes => (bytes.length > 3 ? Promise.reject(new Error('no room')) : streamDeflate(bytes))
    await expect(written(['a', 'abcdef', 7, 'b'], broken)).rejects.toThrow('no room')
  })
})
