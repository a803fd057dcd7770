import { describe, expect, test } from '@jest/globals'
import type { Outlook } from '@/core/chain'
import { Cancelled } from '@/core/trade'
import { type Asked, Looks } from './looks'
import type { Entry } from './useEntries'

const entry = (id: string, told = id): Entry => ({
  id,
  told,
  title: id,
  author: '',
  imprint: '',
  editions: [],
  pairs: [],
  planned: false,
})
const outlook: Outlook = { words: 1, planned: 0, editions: [] }
const rest = (): Promise<void> => new Promise(r => setTimeout(r, 5))

/** Looks at a press that notes what it is asked; `answer` may fail, wait or call back for any question. */
function looking(answer: (question: string) => unknown = () => undefined): { looks: Looks; asked: string[] } {
  const asked: string[] = []
  const ask = async <T>(question: string, value: T): Promise<T> => {
    asked.push(question)
    await answer(question)
    return value
  }
  const press: Asked = {
    front: id => ask(`front ${id}`, new Blob([id])),
    outlook: id => ask(`outlook ${id}`, outlook),
    drifts: ({ id }) => ask(`drifts ${id}`, {}),
  }
  return { looks: new Looks(press), asked }
}

describe('looks at the books of the porch', () => {
  test('fronts of all come first, then what follows from each; a row hears of its own book only', async () => {
    const { looks, asked } = looking()
    const heard: string[] = []
    for (const id of ['a', 'b']) looks.onBook(id, () => heard.push(id))
    looks.attend()
    looks.see([entry('a'), entry('b')])
    await rest()
    expect(asked).toEqual(['front a', 'front b', 'outlook a', 'outlook b', 'drifts a', 'drifts b'])
    expect(heard).toEqual(['a', 'b', 'a', 'b', 'a', 'b'])
    expect(looks.of('a')).toMatchObject({ outlook, drifts: {} })
    expect(looks.of('a').front).toMatch(/^blob:/)
    // What was seen is not looked at again; what has changed is, and nothing else.
    looks.see([entry('a'), entry('b', 'b, changed')])
    await rest()
    expect(asked.slice(6)).toEqual(['front b', 'outlook b', 'drifts a', 'drifts b'])
  })
  test('a book that fails says why, is asked nothing more, and holds up no other', async () => {
    const { looks, asked } = looking(q => {
      if (q === 'front a') throw new Error('It is torn.')
    })
    looks.attend()
    looks.see([entry('a'), entry('b')])
    await rest()
    expect(looks.of('a').bad).toBe('It is torn.')
    expect(asked).toEqual(['front a', 'front b', 'outlook b', 'drifts b'])
    expect(looks.now()).toMatchObject({ stopped: false })
  })
  test('a book that changes while it is looked at is looked at once more', async () => {
    const { looks, asked } = looking(q => {
      if (q === 'outlook a' && asked.length === 2) looks.see([entry('a', 'a, changed')])
    })
    looks.attend()
    looks.see([entry('a')])
    await rest()
    expect(asked).toEqual(['front a', 'outlook a', 'front a', 'outlook a', 'drifts a'])
  })
  test('a press that is stopped is said once, and what was in its hand is taken up again', async () => {
    let stops = 1
    const { looks, asked } = looking(q => {
      if (q === 'outlook a' && stops-- > 0) throw new Cancelled()
    })
    looks.attend()
    looks.see([entry('a')])
    await rest()
    expect(looks.now().stopped).toBe(true)
    expect(looks.of('a').bad).toBeUndefined()
    looks.goOn()
    await rest()
    expect(asked).toEqual(['front a', 'outlook a', 'outlook a', 'drifts a'])
    expect(looks.now().stopped).toBe(false)
  })
  test('nothing is asked when nobody looks on; it goes on where it was when somebody does', async () => {
    const { looks, asked } = looking()
    looks.see([entry('a')])
    await rest()
    expect(asked).toEqual([])
    const leave = looks.attend()
    await rest()
    leave()
    looks.see([entry('a'), entry('b')])
    await rest()
    expect(asked).toEqual(['front a', 'outlook a', 'drifts a'])
    looks.attend()
    await rest()
    expect(asked.slice(3)).toEqual(['front b', 'outlook b', 'drifts a', 'drifts b'])
  })
})
