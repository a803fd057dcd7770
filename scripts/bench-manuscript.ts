import { Document, HeadingLevel, Packer, Paragraph, TextRun } from 'docx'
import { longText } from './lib/longText'

/** Writes a .docx of so many words (and chapters) to standard output: the bench's manuscript. */
const words = Number(process.argv[2] ?? 100_000)
const chapters = longText(words, Number(process.argv[3] ?? Math.round(words / 2350)))
process.stdout.write(
  await Packer.toBuffer(
    new Document({
      title: 'The Long Bench',
      creator: 'Orla Fenwright',
      sections: [
        {
          children: chapters.flatMap((paras, i) => [
            new Paragraph({ heading: HeadingLevel.HEADING_1, children: [new TextRun(`Chapter ${i + 1}`)] }),
            ...paras.map(t => new Paragraph({ children: [new TextRun(t)] })),
          ]),
        },
      ],
    }),
  ),
)
