import { readFileSync, writeFileSync } from 'node:fs'
import { copyOf } from '@/core/copies'
import { readProject } from '@/core/archive'
import { shippedProfiles } from '@/core/outlets'
const { book, pictures } = readProject(new Uint8Array(readFileSync('public/demo/tidewardens-almanac.porchlight')), { known: shippedProfiles })
const t = performance.now()
const file = await copyOf(book, 'docx', { pictures, round: { id: 'r1', at: Date.UTC(2026,10,29) } })
console.log(file.bytes.length, file.lost, performance.now() - t)
writeFileSync('/tmp/almanac.docx', file.bytes)
let big = { ...book, sections: Array.from({ length: 12 }, (_, i) => book.sections.filter(s => !s.made).map(s => ({ ...s, id: `s${i * 1000 + Number(s.id.slice(1))}` }))).flat() }
const t2 = performance.now()
const f2 = await copyOf(big, 'docx', { pictures })
console.log(JSON.stringify(big.sections).length, f2.bytes.length, performance.now() - t2)
