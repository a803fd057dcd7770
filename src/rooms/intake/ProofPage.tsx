'use client'
import { Button } from 'antd'
import { PageCanvas } from '@/parts/PageCanvas'
import type { useProof } from './useProof'

/** The page beside the list: where the section looked at begins. */
export function ProofPage({ proof, trouble, stopped, again }: ReturnType<typeof useProof>) {
  const label = proof?.leaves.pages[proof.page]?.label ?? ''
  return (
    <>
      <div className="page">
        {proof ? (
          <PageCanvas
            bookId={proof.bookId}
            editionId={proof.editionId}
            index={proof.page}
            version={proof.version}
            width={proof.leaves.width}
            height={proof.leaves.height}
            scale={Math.min(0.62, 300 / proof.leaves.width)}
            label={`Page ${label}`}
          />
        ) : (
          <span className="waiting" role="status">
            {trouble ??
              (stopped ? (
                <Button size="small" onClick={again}>
                  Set the pages
                </Button>
              ) : (
                'setting …'
              ))}
          </span>
        )}
      </div>
      <p className="caption">{proof ? `page ${label} of ${proof.leaves.pages.length}` : ''}</p>
      {proof && trouble && (
        <p className="trouble" role="alert">
          {trouble}
        </p>
      )}
    </>
  )
}
