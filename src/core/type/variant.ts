/** A cut of a family. */
export type Variant = 'regular' | 'italic' | 'bold' | 'bold-italic'
