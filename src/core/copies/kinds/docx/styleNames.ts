/** Ids of paragraph styles beside those that every word processor has; people see the names below. */
export const styleIds = {
  subtitle: 'Subtitle',
  quote: 'Quote',
  letter: 'Letter',
  verse: 'Verse',
  break: 'SceneBreak',
  page: 'PageBreak',
  picture: 'Picture',
  caption: 'Caption',
  further: 'ListContinue',
}

/** The names of styles, as they are read back. */
export const styleNames: Record<keyof typeof styleIds, string> = {
  subtitle: 'Subtitle',
  quote: 'Quote',
  letter: 'Letter',
  verse: 'Verse',
  break: 'Scene break',
  page: 'Page break',
  picture: 'Picture',
  caption: 'Caption',
  further: 'List Continue',
}
