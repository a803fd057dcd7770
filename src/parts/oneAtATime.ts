/** Does something one at a time: what is asked for while it is done is done once more, behind it. What fails is its own to say. */
export function oneAtATime(work: () => Promise<void>): () => void {
  let under = false
  let again = false
  const go = async (): Promise<void> => {
    if (under) {
      again = true
      return
    }
    under = true
    try {
      do {
        again = false
        await work()
      } while (again)
    } finally {
      under = false
    }
  }
  return () => void go()
}
