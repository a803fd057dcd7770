/** The ebook's style sheet: restrained, since the reader's own face, size and margins win. */
export const styleSheet = `body { margin: 5%; line-height: 1.45; }
h1 { font-size: 1.5em; font-weight: normal; text-align: center; margin: 3em 0 2em; line-height: 1.25; }
h1 .number { display: block; font-size: 0.62em; letter-spacing: 0.08em; font-variant: small-caps; margin-bottom: 0.7em; }
h2, h3, h4 { font-weight: normal; margin: 1.8em 0 0.8em; }
h2 { font-size: 1.25em; text-align: center; }
h3 { font-size: 1.05em; font-variant: small-caps; }
h4 { font-size: 1em; font-style: italic; }
p { margin: 0; text-indent: 1.3em; }
p.first, p.centre, p.right, .subtitle, figcaption p, li p, td p, th p, aside p { text-indent: 0; }
.centre { text-align: center; }
.right { text-align: right; }
.subtitle { text-align: center; font-style: italic; margin: -1em 0 2em; }
.sc { font-variant: small-caps; }
blockquote { margin: 1em 1.6em; }
.verse { margin: 1em 0 1em 2em; }
.verse p { margin: 0 0 0.9em; text-indent: 0; }
.verse .line { display: block; padding-left: 1.5em; text-indent: -1.5em; }
.verse br { display: none; }
.verse .in1 { padding-left: 2.5em; }
.verse .in2 { padding-left: 3.5em; }
.verse .in3 { padding-left: 4.5em; }
.verse .in4 { padding-left: 5.5em; }
hr.scene { border: 0; margin: 1.4em auto; width: 18%; border-top: 1px solid currentColor; opacity: 0.55; }
hr.turn { border: 0; margin: 0; page-break-after: always; }
figure { margin: 1.4em 0; text-align: center; page-break-inside: avoid; }
figure img { max-width: 100%; max-height: 90vh; }
figure.left { float: left; max-width: 50%; margin: 0.3em 1em 0.5em 0; }
figure.right { float: right; max-width: 50%; margin: 0.3em 0 0.5em 1em; }
figure svg { width: 100%; max-height: 90vh; }
figure.left img, figure.right img { width: 100%; }
figure.page, figure.plate { page-break-before: always; page-break-after: always; break-before: page; break-after: page; margin: 0; }
figure.opening { margin: 0 0 1em; }
img.sign { width: auto; vertical-align: baseline; }
figcaption { font-size: 0.88em; font-style: italic; margin-top: 0.5em; }
.table { overflow-x: auto; margin: 1em 0; }
table { border-collapse: collapse; margin: 0 auto; }
th, td { padding: 0.3em 0.7em; text-align: left; vertical-align: top; border-bottom: 1px solid currentColor; font-weight: normal; }
th p { font-style: italic; }
a.noteref { font-size: 0.7em; vertical-align: super; line-height: 0; text-decoration: none; }
.notes { margin-top: 2.5em; border-top: 1px solid currentColor; padding-top: 0.8em; font-size: 0.9em; }
.dedication, .epigraph { margin-top: 22%; text-align: center; font-style: italic; }
.titlepage { text-align: center; margin-top: 12%; }
.titlepage h1 { font-size: 2em; margin: 0 0 0.5em; }
.titlepage p { text-indent: 0; margin: 0.8em 0; }
.titlepage .series { font-style: italic; }
.titlepage .author { font-size: 1.25em; margin-top: 2em; }
.titlepage .imprint { margin-top: 5em; font-variant: small-caps; }
.titlepage .logo { margin-top: 5em; }
.titlepage .logo img { height: 3.2em; }
.titlepage .logo + .imprint { margin-top: 0.4em; }
.copyright p { text-indent: 0; margin: 0 0 0.6em; font-size: 0.9em; }
nav ol { list-style: none; padding-left: 0; }
nav a { color: inherit; text-decoration: none; }
nav ol ol { padding-left: 1.4em; }
nav li { margin: 0.45em 0; }
.cover { margin: 0; padding: 0; text-align: center; }
.cover img { max-width: 100%; max-height: 100vh; }
`
