/** A part of something, as it is said. */
const share = (part: number): string => (part < 10 ? part.toFixed(1) : String(Math.round(part)))

/** How much of the book the section is. */
export function SectionWords({ words, whole }: { words: number; whole: number }) {
  return (
    <p className="issaid words" aria-label="Words">
      <b>{words.toLocaleString('en')}</b> {words === 1 ? 'word' : 'words'}
      {whole > words && (
        <>
          , {share((words / whole) * 100)} % of the book’s {whole.toLocaleString('en')}
        </>
      )}
      .
    </p>
  )
}
