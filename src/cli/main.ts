import { pressed } from './pressed'

const line = await pressed(process.argv.slice(2))
if (line !== undefined) {
  process.exitCode = 1
  process.stderr.write(line + '\n')
}
