import type { Schemas } from '@/lib/api/client'
import { decimal } from '@/lib/format'

/** The rubric, as the key is printed. */
export const RubricOnPaper = ({ criteria }: { criteria: Schemas['Criterion'][] }) => (
  <table className="mt-2 w-full border-collapse text-sm">
    <caption className="sr-only">The rubric</caption>
    <tbody>
      {criteria.map((c) => (
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
)
