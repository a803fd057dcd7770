/** How many words a section has, and of how many. */
export function SectionFacts({ words, whole }: { words: number; whole: number }) {
  return (
    <>
      <h2>This section</h2>
      <dl>
        <dt>Words</dt>
        <dd>{words.toLocaleString('en')}</dd>
        <dt>Of the book</dt>
        <dd>{whole ? `${((words / whole) * 100).toFixed(1)} %` : '–'}</dd>
        <dt>Whole book</dt>
        <dd>{whole.toLocaleString('en')}</dd>
      </dl>
    </>
  )
}
