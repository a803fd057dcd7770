'use client'
import { Button } from 'antd'

/** A page that is made from the book's data, with the way to write it by hand. */
export function MadePage({ onTake }: { onTake: () => void }) {
  return (
    <div className="made">
      <p>This page is made from the book’s data, and stays true by itself. Its data stands in the plan.</p>
      <Button onClick={onTake}>Write it by hand instead</Button>
    </div>
  )
}
