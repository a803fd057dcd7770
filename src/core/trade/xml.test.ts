import { describe, expect, test } from '@jest/globals'
import fc from 'fast-check'
import { joined, type Markup, xml } from '.'

const EVIL = '"/><script>alert(1)</script><x y="'

describe('markup', () => {
  test('values are text wherever they stand; only markup stands between attributes', () => {
    expect(String(xml`<p title="${EVIL}">${EVIL}</p>`)).toBe(
      '<p title="&quot;/&gt;&lt;script&gt;alert(1)&lt;/script&gt;&lt;x y=&quot;">&quot;/&gt;&lt;script&gt;alert(1)&lt;/script&gt;&lt;x y=&quot;</p>',
    )
    const bad = 0 as unknown as Markup
    expect(String(xml`<p${bad}${EVIL as unknown as Markup}${xml` class="a"`}>${bad}</p>`)).toBe('<p class="a">0</p>')
    expect(String(joined(['<', xml`<b/>`, undefined, false], ' & '))).toBe('&lt; &amp; <b/> &amp;  &amp; ')
  })
  test('whatever the text, it is text again when it is read', () => {
    fc.assert(
      fc.property(fc.string({ unit: 'binary' }), t => {
        const made = String(xml`<p>${t}</p>`).slice(3, -4)
        expect(made).not.toMatch(/[<>"']|&(?!(?:amp|lt|gt|quot|#39);)/)
        const read = made.replace(
          /&(amp|lt|gt|quot|#39);/g,
          (_m, n: string) => ({ amp: '&', lt: '<', gt: '>', quot: '"', '#39': "'" })[n]!,
        )
        // Signs that XML has no place for are gone, and no others.
        expect(read).toBe(
          [...t].filter(c => !/^[\u0000-\u0008\u000b\u000c\u000e-\u001f\ufffe\uffff\ud800-\udfff]$/.test(c)).join(''),
        )
      }),
    )
  })
})
