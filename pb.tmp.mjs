import { bundle } from '/work/main/scripts/lib/bundle.mjs'
console.log(await bundle('../../tmp/print.ts', 'print'))
