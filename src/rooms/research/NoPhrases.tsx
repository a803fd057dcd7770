/** What is said where there are no phrases: of those that are kept, of a word that was asked, or before any was. */
export function NoPhrases({ kept, asked, onWord }: { kept: boolean; asked: boolean; onWord: (word: string) => void }) {
  return (
    <div className="empty">
      {kept ? (
        <>
          <h2>Nothing kept yet</h2>
          <p>Keep phrases from the list of related ones: they are remembered with this book.</p>
        </>
      ) : asked ? (
        <>
          <h2>Nobody searches for that</h2>
          <p>
            Try a broader word: what the book is about (tide, harbour, apiary), or its form (mystery, log book, puzzle
            book).
          </p>
        </>
      ) : (
        <>
          <h2>Begin with a broad word</h2>
          <p>
            What the book is about, or what it is:{' '}
            <button type="button" onClick={() => onWord('lighthouse')}>
              lighthouse
            </button>
            ,{' '}
            <button type="button" onClick={() => onWord('mystery')}>
              mystery
            </button>
            ,{' '}
            <button type="button" onClick={() => onWord('log book')}>
              log book
            </button>
            . You get the phrases readers type, how many of them buy, and how crowded the first page is.
          </p>
        </>
      )}
    </div>
  )
}
