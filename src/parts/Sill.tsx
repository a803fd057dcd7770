/** One figure of the sill: a name and its value. */
export interface SillFigure {
  name: string
  value: string
  /** What it was before the last change, where that moved it. */
  was?: string
}

/** The strip of live figures along the foot, and what now wants the author. */
export function Sill({ figures, asks }: { figures: SillFigure[]; asks?: string }) {
  return (
    <footer className="sill" aria-label="Sill">
      {figures.map(f => (
        <span className="figure" key={f.name}>
          {f.name}
          {f.was && <s aria-label={`was ${f.was}`}>{f.was}</s>}
          {f.value && <b>{f.value}</b>}
        </span>
      ))}
      {asks && <span className="asks">{asks}</span>}
    </footer>
  )
}
