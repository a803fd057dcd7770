import type { Difference } from '@/core/outlets'

/** What is on sale beside what the book would send now. `sent`: a revision is on its way, and is what the book is held against. */
export function Differences({ differences, sent }: { differences: Difference[]; sent: boolean }) {
  return (
    <table className="beside" aria-label="On sale beside now">
      <thead>
        <tr>
          <th>{sent ? 'Since the revision was sent' : 'The book has moved on'}</th>
          <th>{sent ? 'as sent' : 'on sale'}</th>
          <th>now</th>
        </tr>
      </thead>
      <tbody>
        {differences.map(d => (
          <tr key={d.what}>
            <th scope="row">{d.what}</th>
            <td>{d.was}</td>
            <td>{d.now}</td>
          </tr>
        ))}
      </tbody>
    </table>
  )
}
