import { decimal } from '@/lib/format'
import type { PaperProps } from '../kinds'
import { WritingLines } from '../parts/WritingLines'

const LINES = 6

/** Lines to write on, or the rubric. */
export default function Paper({ rule, withKey }: PaperProps<'open'>) {
  return withKey ? (
    <table className="mt-2 w-full border-collapse text-sm">
      <caption className="sr-only">The rubric</caption>
      <tbody>
        {rule.criteria.map((c) => (
          <tr key={c.name} className="border border-black/50">
            <th scope="row" className="p-1 text-left align-top">
              {c.name}
            </th>
            {c.levels.map((l, i) => (
              <td key={i} className="border border-black/50 p-1 align-top">
                <b>{decimal(l.points)}</b> {l.descriptor}
              </td>
            ))}
          </tr>
        ))}
      </tbody>
    </table>
  ) : (
    <WritingLines count={LINES} />
  )
}
