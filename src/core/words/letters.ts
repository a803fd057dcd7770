/** Letters as a grid has them: capitals without spaces and signs; accents stay, what is one sign in small letters only becomes two. */
export const gridLetters = (text: string): string =>
  text
    .normalize('NFC')
    .toUpperCase()
    .replace(/[^\p{L}\p{N}]/gu, '')

/** Letters without accents, A to Z and figures: how words of several languages are held against each other. */
export const plainLetters = (text: string): string =>
  text
    .normalize('NFD')
    .toUpperCase()
    .replace(/Œ/g, 'OE')
    .replace(/Æ/g, 'AE')
    .replace(/Ø/g, 'O')
    .replace(/[^A-Z0-9]/g, '')
