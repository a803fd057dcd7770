// npm run demo: all that a fresh machine needs, then the app on localhost with the demo library.
import { bin, must, packages, serve } from './lib/setup.mjs'

packages()
must('node', ['scripts/assets.mjs'])
must(bin('next'), ['build'])
const port = Number(process.env.PORT ?? 4310)
const server = await serve(port)
console.log(`\nPorchlight stands at http://localhost:${port}/ (Ctrl+C to end)`)
process.on('SIGINT', () => server.kill())
server.on('exit', code => process.exit(code ?? 0))
