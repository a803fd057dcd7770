'use client'
import { ConfigProvider } from 'antd'
import type { AtCursorKind, Saying } from './kind'
import { passage } from './Passage'
import { picture } from './Picture'
import { recording } from './Recording'
import { sign } from './Sign'
import { table } from './Table'

/** From the innermost: a sign in a table is said as a sign; a picture that plays is a recording. */
const kinds: readonly AtCursorKind[] = [sign, recording, picture, passage, table]

/** What stands at the cursor, in a sentence at the foot of the galley. It reads the editor's state at each of its turns (`turn`). */
export function AtCursor({ turn: _turn, ...saying }: Saying & { turn: number }) {
  for (const { name, say } of kinds) {
    const said = say(saying)
    if (said)
      return (
        <ConfigProvider componentDisabled={saying.readOnly}>
          <section className="issaid atcursor" aria-label={`The ${name} at the cursor`}>
            {said}
          </section>
        </ConfigProvider>
      )
  }
  return null
}
