/** Words by their letters, to be met while a line is read. Letters are numbers from 0 to `signs` − 1. */
export class Trie {
  private next: Int32Array
  private ends: Int32Array
  private size = 1
  /** Letters of the longest word. */
  longest = 0

  constructor(
    private readonly signs: number,
    words: Iterable<readonly number[]>,
  ) {
    this.next = new Int32Array(signs * 1024)
    this.ends = new Int32Array(1024).fill(-1)
    let n = 0
    for (const word of words) this.add(word, n++)
  }

  private add(word: readonly number[], n: number): void {
    this.longest = Math.max(this.longest, word.length)
    let node = 0
    for (const sign of word) {
      const at = node * this.signs + sign
      node = this.next[at]! || (this.next[at] = this.fresh())
    }
    this.ends[node] = n
  }

  private fresh(): number {
    if (this.size === this.ends.length) {
      const [next, ends] = [new Int32Array(this.next.length * 2), new Int32Array(this.ends.length * 2).fill(-1)]
      next.set(this.next)
      ends.set(this.ends)
      this.next = next
      this.ends = ends
    }
    return this.size++
  }

  /** The node that a sign leads to, 0 where no word goes on with it. The root is 0. */
  step(node: number, sign: number): number {
    return this.next[node * this.signs + sign]!
  }

  /** Number of the word that ends at a node, -1 where none does. */
  end(node: number): number {
    return this.ends[node]!
  }
}
