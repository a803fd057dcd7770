import { writeLibrary } from './library'

await writeLibrary(process.cwd())
