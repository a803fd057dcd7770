// The house: imports run downward only. Floors from the top; each may import the floors below it.
const floors = [
  ['app', '^src/app/'],
  ['rooms', '^src/rooms/'],
  ['parts', '^src/parts/'],
  ['data', '^src/data/'],
  ['workers', '^src/workers/'],
  ['core', '^src/core/'],
]
// Inside the core, from the ground up.
const core = [
  'trade',
  'files',
  'publication',
  'book',
  'proof',
  'compare',
  'copies',
  'marks',
  'ornaments',
  'type',
  'intake',
  'words',
  'silhouettes',
  'puzzles',
  'activity',
  'pace',
  'pages',
  'cover',
  'ink',
  'pdf',
  'weight',
  'epub',
  'check',
  'market',
  'outlets',
  'ledger',
  'archive',
  'review',
  'delivery',
  'chain',
]

const rules = []
for (let i = 1; i < floors.length; i++) {
  rules.push({
    name: `${floors[i][0]}-imports-downward`,
    severity: 'error',
    from: { path: floors[i][1] },
    to: {
      path: floors
        .slice(0, i)
        .map(f => f[1])
        .join('|'),
    },
  })
}
rules.push({
  name: 'rooms-ask-the-repositories',
  severity: 'error',
  from: { path: '^src/(rooms|parts|app)/', pathNot: '\\.test\\.ts$' },
  to: { path: '^src/data/db' },
})
rules.push({
  name: 'core-has-no-interface',
  severity: 'error',
  from: { path: '^src/core/', pathNot: '\\.test\\.ts$' },
  to: {
    path: '^src/(app|rooms|parts|look|data|workers|cli)/|node_modules/(react|react-dom|next|antd|dexie|comlink|@napi-rs)/',
  },
})
rules.push({
  name: 'core-has-no-node',
  severity: 'error',
  from: { path: '^src/core/', pathNot: '\\.test\\.ts$' },
  to: { dependencyTypes: ['core'] },
})
rules.push({
  name: 'look-stands-alone',
  severity: 'error',
  from: { path: '^src/look/' },
  to: { path: '^src/(app|rooms|parts|data|workers|core|cli)/' },
})
rules.push({
  name: 'nothing-imports-the-door',
  severity: 'error',
  from: { path: '^src/(?!cli/)', pathNot: '\\.test\\.ts$' },
  to: { path: '^src/cli/' },
})
for (let i = 0; i < core.length; i++) {
  const above = core.slice(i + 1)
  if (above.length)
    rules.push({
      name: `core-${core[i]}-imports-downward`,
      severity: 'error',
      from: { path: `^src/core/${core[i]}/`, pathNot: '\\.test\\.ts$' },
      to: { path: `^src/core/(${above.join('|')})/` },
    })
  // From outside, a folder is its index.
  rules.push({
    name: `core-${core[i]}-by-its-face`,
    severity: 'error',
    from: { pathNot: `^src/core/${core[i]}/|^tests/|\\.test\\.ts$`, path: '^src/' },
    to: { path: `^src/core/${core[i]}/(?!index\\.ts$)` },
  })
}
rules.push({ name: 'no-circles', severity: 'error', from: {}, to: { circular: true } })

module.exports = {
  forbidden: rules,
  options: {
    doNotFollow: { path: 'node_modules' },
    tsConfig: { fileName: 'tsconfig.json' },
    tsPreCompilationDeps: true,
    exclude: { path: '\\.next|\\.cache' },
  },
}
