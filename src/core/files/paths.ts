/** A path that is written in a part of an archive, from the archive's own root. `folder`: where the part lies, with its slash. */
export function pathIn(folder: string, target: string): string {
  if (target.startsWith('/')) return target.slice(1)
  const parts = (folder + target).split('/')
  const out: string[] = []
  for (const p of parts) {
    if (p === '..') out.pop()
    else if (p && p !== '.') out.push(p)
  }
  return out.join('/')
}

/** The folder that a part lies in, with its slash; empty at the root. */
export const folderOf = (path: string): string => path.slice(0, path.lastIndexOf('/') + 1)

/** An address without its escapes; as it is where they are none. */
export function decoded(uri: string): string {
  try {
    return decodeURIComponent(uri)
  } catch {
    return uri
  }
}

/** Where an address in a part leads: a path from the archive's root, and "#" with the id where it names a place in it. */
export function targetIn(part: string, href: string): string {
  const [file = '', id] = href.split('#')
  const path = file ? pathIn(folderOf(part), decoded(file)) : part
  return id ? `${path}#${decoded(id)}` : path
}

/** The address of a target as it is written in a part: the shortest way there, escaped. */
export function hrefFrom(part: string, target: string): string {
  const [file = '', id] = target.split('#')
  const to = file.split('/')
  const at = part.split('/')
  let same = 0
  while (same < at.length - 1 && same < to.length - 1 && at[same] === to[same]) same++
  const way = [...at.slice(same + 1).map(() => '..'), ...to.slice(same)]
  const path = file === part && id ? '' : way.map(encodeURIComponent).join('/')
  return id ? `${path}#${encodeURI(id)}` : path
}
