'use client'
import type { Imprint } from '@/core/book'

/** Whose logo it is; one comes with the imprint. */
export const LogoSentence = ({ imprint }: { imprint: Imprint | undefined }) =>
  imprint?.logo ? (
    <p>
      It is the logo of <b>{imprint.name}</b>, whole, and as large as its box.
    </p>
  ) : (
    <p>The imprint of this book has no logo, so nothing is seen here: Supplies keeps imprints with theirs.</p>
  )
