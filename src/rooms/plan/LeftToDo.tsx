import type { Figures } from '@/core/chain'
import { remedyWords } from '@/core/check'
import { kindWords } from '@/parts/kinds'

/** What the outlet would want mended, the weightiest first. */
export function LeftToDo({ figures, trouble }: { figures: Figures | undefined; trouble: string | undefined }) {
  return (
    <>
      {trouble && (
        <p className="trouble" role="alert">
          {trouble}
        </p>
      )}
      {!figures && !trouble && (
        <p className="quiet" role="status">
          Looking it over …
        </p>
      )}
      {figures && !figures.findings.length && (
        <p className="quiet">
          Nothing: {figures.outlet} would take the {kindWords[figures.kind]?.toLowerCase()} as it stands.
        </p>
      )}
      <ul className="todo careted">
        {figures?.findings.slice(0, 8).map((f, i) => (
          <li key={i} className={f.severity}>
            <span>
              <b>{f.message}</b> {remedyWords(f)}
            </span>
          </li>
        ))}
        {figures && figures.findings.length > 8 && <li>and {figures.findings.length - 8} more</li>}
      </ul>
    </>
  )
}
