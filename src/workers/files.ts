/** Files in and out. Loaded when a file comes or goes: parsers have no part in a book's first pages. */
export { isProject, readLibrary, readProject, writeLibrary, writeProject } from '@/core/archive'
export { readManuscript, readManuscripts } from '@/core/intake'
export { copyOf } from '@/core/copies'
export { readReturnedDocx, slipIn } from '@/core/review'
