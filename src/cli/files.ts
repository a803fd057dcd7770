import { readFile, stat } from 'node:fs/promises'
import { basename, dirname, join, resolve, sep } from 'node:path'
import { isProject, type Project, readProject } from '@/core/archive'
import { decodeText, readManuscript, type Understood } from '@/core/intake'
import { shippedProfiles } from '@/core/outlets'
import { Fault } from '@/core/trade'

/** A path as the person typed it: relative to where they stand, not to where npm runs. */
export const typedPath = (path: string): string => resolve(process.env.INIT_CWD ?? process.cwd(), path)

/** What a file was understood as. */
export type OpenedFile = Pick<Understood, 'book' | 'pictures' | 'dropped' | 'cleaned' | 'isbn'> & { project?: Project }

/** Reads a manuscript or a project file. */
export async function openBook(path: string): Promise<OpenedFile> {
  const full = typedPath(path)
  const bytes = await readWhole(full)
  if (isProject(bytes)) {
    const project = readProject(bytes, { known: shippedProfiles })
    return { book: project.book, pictures: project.pictures, dropped: [], cleaned: [], project }
  }
  const beside = /\.(md|markdown|x?html?)$/i.test(full) ? await picturesBeside(full, bytes) : undefined
  return readManuscript(basename(full), bytes, beside)
}

/** The bytes of a file that was named on the command line. */
export const fileBytes = (path: string): Promise<Uint8Array> => readWhole(typedPath(path))

async function readWhole(path: string): Promise<Uint8Array> {
  try {
    const s = await stat(path)
    if (s.isDirectory()) throw new Fault('folder', `“${basename(path)}” is a folder, not a file.`)
    // A pipe or a device has no end that could be known.
    if (!s.isFile()) throw new Fault('no-file', `“${basename(path)}” is no file that can be read whole.`)
    if (s.size > 600e6) throw new Fault('too-large', 'This file is larger than any book; it is not read.')
    return new Uint8Array(await readFile(path))
  } catch (e) {
    if (e instanceof Fault) throw e
    throw new Fault('no-file', `There is no file “${basename(path)}” here that can be read.`)
  }
}

/** Bytes of one picture beside a text, and of all of them. */
const MOST_PICTURE = 200e6
const MOST_PICTURES = 1e9

/** Pictures that a Markdown text or a web page names, if they lie in its folder or below. */
async function picturesBeside(path: string, bytes: Uint8Array): Promise<Map<string, Uint8Array>> {
  const out = new Map<string, Uint8Array>()
  const folder = dirname(path)
  let together = 0
  let text: string
  try {
    text = decodeText(bytes)
  } catch {
    return out // The reader itself will say in plain words what is wrong.
  }
  for (const name of picturesNamed(text)) {
    const file = join(folder, name)
    if (!file.startsWith(folder + sep) || /^[a-z]+:/i.test(name)) continue
    try {
      const s = await stat(file)
      if (!s.isFile() || s.size > MOST_PICTURE || (together += s.size) > MOST_PICTURES) continue
      out.set(name, new Uint8Array(await readFile(file)))
    } catch {
      continue // Reported by the reader as a picture that is not there.
    }
  }
  return out
}

/** The files that pictures of a text are said to be in: Markdown's `![…](file)` and the `src` of HTML. */
function* picturesNamed(text: string): Generator<string> {
  let before = 0
  for (const m of text.matchAll(/\]\(<?([^\s)>]+)/g)) {
    // A picture's sign stands before its description, however long that is; each stretch of text is looked through once.
    const picture = text.slice(before, m.index).includes('![')
    before = m.index + m[0].length
    if (picture) yield m[1]!
  }
  for (const m of text.matchAll(/<im(?:g|age)\s[^<>]{0,2000}?src\s*=\s*["']([^"'<>]{1,1000})["']/gi)) yield m[1]!
}
