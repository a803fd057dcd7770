/** A growing buffer with the few number formats that content streams want, written straight to bytes. */
export class ByteWriter {
  private buf: Uint8Array
  length = 0
  constructor(size = 4096) {
    this.buf = new Uint8Array(size)
  }
  byte(b: number): void {
    if (this.length === this.buf.length) this.grow(1)
    this.buf[this.length++] = b
  }
  ascii(s: string): void {
    if (this.length + s.length > this.buf.length) this.grow(s.length)
    for (let i = 0; i < s.length; i++) this.buf[this.length++] = s.charCodeAt(i)
  }
  int(n: number): void {
    if (this.length + 12 > this.buf.length) this.grow(12)
    if (n < 0) {
      this.buf[this.length++] = 45
      n = -n
    }
    if (n < 10) this.buf[this.length++] = 48 + n
    else {
      let digits = 1
      for (let t = n; t >= 10; t = Math.floor(t / 10)) digits++
      for (let i = digits - 1, t = n; i >= 0; i--) {
        this.buf[this.length + i] = 48 + (t % 10)
        t = Math.floor(t / 10)
      }
      this.length += digits
    }
  }
  /** A number with at most three decimals, and a space. A thousandth of a point is finer than any press. */
  num(x: number): void {
    let n = Math.round(x * 1000)
    if (n < 0) {
      this.byte(45)
      n = -n
    }
    this.int(Math.floor(n / 1000))
    let rest = n % 1000
    if (rest) {
      this.byte(46)
      for (let unit = 100; rest; unit /= 10) {
        this.byte(48 + Math.floor(rest / unit))
        rest %= unit
      }
    }
    this.byte(32)
  }
  /** A two-byte character code inside a literal string, with what must be escaped escaped. */
  code(c: number): void {
    this.escaped(c >> 8)
    this.escaped(c & 255)
  }
  private escaped(b: number): void {
    if (b === 40 || b === 41 || b === 92) this.byte(92)
    else if (b === 13) {
      this.byte(92)
      b = 114
    }
    this.byte(b)
  }
  bytes(): Uint8Array {
    return this.buf.subarray(0, this.length)
  }
  private grow(by: number): void {
    const next = new Uint8Array(Math.max(this.buf.length * 2, this.length + by))
    next.set(this.buf)
    this.buf = next
  }
}
