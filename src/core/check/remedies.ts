/** What mends a finding: what an author reads, by the code that programs go by. `{}` stands for the finding's own value. */
export const remedies = {
  'change the text': 'Change the text, or put it in as a picture.',
  'bring in a font': 'Bring in a font that has the character, or change the text.',
  'enter the title': 'Enter it in the plan.',
  'enter the author': 'Enter the author in the plan.',
  'shorten the subtitle': 'Shorten the subtitle.',
  'shorten the title': 'Shorten the title.',
  'ask the printer': 'Ask whether it takes that kind before you send it.',
  'raise the price': 'Raise the price to {} or more.',
  'lighten the ebook': 'In the ebook’s room, say how light its pictures are to be made, or take some out.',
  'take out what came last':
    'Keep a backup of the book, and take out what was brought in last: its text holds what no ebook may.',
  'resize the front': 'Make the picture anew at a size between.',
  'describe the picture': 'Describe it in a sentence, or mark it as decoration.',
  'make the page anew': 'Make its PDF anew where it was made, and bring the page in again.',
  'mend the sheet': 'In the ebook’s room, mend your style sheet at this line.',
  'raise the heading': 'In the text, make it a heading of the next level.',
  'give the table a head': 'In the text, say that its first row is its head.',
  'say where it leads': 'In the text, let its words say where it leads.',
  'choose the language': 'Choose the language of the book in the plan.',
  'replace the picture': 'Bring the picture in again from its own file, and take this one out.',
  'write the section': 'Write it, or remove the section.',
  'mend the link': 'In the text, choose anew where it leads, or take the link away.',
  'settle what is left': 'Change it, or say in the plan that nothing is left by mistake.',
  'turn the signs': 'In the text, turn them into the language’s own.',
  'refit the cover': 'Refit the cover: everything placed stays placed.',
  'bare the spine': 'Take the text off the spine.',
  'move the box inward': 'Make its box smaller or move it inward.',
  'shorten the piece': 'Shorten it, or give it a larger box.',
  'change the colour': 'Choose a lighter or darker colour for it.',
  'enter the ISBN': 'Enter the ISBN in the plan.',
  'compare the ISBN': 'Compare it with where you have it from.',
  'clear the barcode': 'Keep the barcode’s white box clear.',
  'change the page count': 'Change the size of the text, the leading or the margins, or choose another binding.',
  'choose what is printed': 'Choose from what this outlet prints.',
  'widen the inside margin': 'Widen the inside margin; the pages settle anew.',
  'widen the margins': 'Widen the outside, head or foot margin, or move heads and folios nearer to the text.',
  'look at the letters': 'Look whether it sits well there; a typeface that has what the book needs is the better one.',
  'enlarge the original': 'Make it smaller on the page, or bring in a larger original.',
  'allow hyphenation': 'Allow hyphenation, or set the text a little smaller.',
  'change a paragraph or the leading': 'Lengthen or shorten a paragraph nearby, or change the leading.',
  'change a paragraph': 'Lengthen or shorten a paragraph nearby.',
  'mend the run': 'Its pages stay blank: choose other values in Pages, where what would help is said beside it.',
  'take others': 'Take others in Pages: they come from another seed.',
  'choose the puzzles': 'Say in Pages which puzzles they answer, or remove them.',
  'give the answers room': 'Say in Pages how many answers stand on a page: the run then takes the pages it needs.',
  'add the answers': 'Add a run of answers in Pages, or leave it so on purpose.',
  'lay the changes': 'Lay them on another page in Pages, or forget them there.',
  'bring the picture in': 'Bring it in again in Pages, or take its page out.',
  'clean the drawings': 'Clean them in Pages, or print them as they are.',
  'save the fonts with it': 'Save the PDF with its fonts in it where it was made, and bring it in again.',
  'save it in greys': 'Save it in greys where it was made, and bring it in again, or leave it so on purpose.',
  'give it room': 'Ask for less on a page, fewer columns or a larger page, so that it can be set larger.',
  'read the words again': 'Take it out of the list in Pages, or leave it so on purpose.',
  'darken the lines': 'Make its tone darker in Pages: 20 % is seen on every paper.',
  'remove empty pages': 'Remove empty sections, or let chapters begin on either side.',
  'enter the price': 'Enter the list price.',
  'write the description': 'Write it in the plan: what the reader gets.',
  'shorten it': 'Shorten it.',
  'take the address out': 'Take it out.',
  'take some out': 'Take some out.',
  'change the marked words': 'Change the marked words.',
  'fill a slot': 'Keep phrases in Research and give them a slot.',
  'choose categories': 'Choose where books like this stand.',
  'keep one category': 'Keep the best one.',
  'keep fewer categories': 'Keep the best ones.',
  'go elsewhere': 'Take the book to other outlets.',
  'nothing wanted': 'Nothing is wanted; fewer readers will come upon it.',
  'state the rights': 'State that text, pictures and fonts are yours to publish.',
  'lighten the interior': 'Bring smaller originals of the largest pictures, or take some out.',
  'lighten the cover': 'Bring a smaller picture for the cover.',
} as const

export type RemedyCode = keyof typeof remedies

/** What is to be done about a finding. */
export interface Remedy {
  remedy: RemedyCode
  /** What its words speak of: "$3.99". */
  remedyValue?: string
}

/** What an author reads of a remedy. */
export const remedyWords = ({ remedy, remedyValue = '' }: Remedy): string =>
  remedies[remedy].replace('{}', () => remedyValue)
