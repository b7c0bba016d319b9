import { keepPreviousData, useQuery } from '@tanstack/react-query'
import { memo, useState } from 'react'
import type { Item, Value } from '@/answers/kinds'
import { lineNamed } from '@/answers/lineNamed'
import { kindOf } from '@/answers/registry'
import { api, problemOf, take } from '@/lib/api/client'
import { plural } from '@/lib/format'
import { useSettled } from '@/lib/settled'
import { useTerms } from '@/lib/terms'
import { Bar, barOf } from '@/ui/Bar'
import { AreaField } from '@/ui/Field'
import { Fold } from '@/ui/Fold'

const MOST = 60

/** What a class might answer, pasted one a line, comes back as a table: what each earns, by which line, and what it shows. */
export const TryMany = memo(function TryMany({ item }: { item: Item }) {
  const read = kindOf(item.type).fromLine
  return read ? (
    <Fold label="Try many answers at once">
      <Many item={item} read={(line) => read(item.rule, line)} />
    </Fold>
  ) : null
})

function Many({ item, read }: { item: Item; read: (line: string) => Value | null }) {
  const terms = useTerms()
  const [text, setText] = useState('')
  const lines = text.split('\n').filter((line) => line.trim() !== '')
  const given = lines.slice(0, MOST).flatMap((line) => {
    const value = read(line)
    return value === null ? [] : [{ line, value }]
  })
  const asked = useSettled(JSON.stringify({ item, given }))
  const tried = useQuery({
    queryKey: ['tried', asked],
    queryFn: async () => {
      const { item: of, given: all } = JSON.parse(asked) as { item: Item; given: typeof given }
      const { results } = await take(
        api.POST('/api/items/try-all', { body: { item: of, responses: all.map((one) => one.value) } }),
      )
      return all.map((one, i) => ({ line: one.line, result: results[i] }))
    },
    enabled: given.length > 0,
    placeholderData: keepPreviousData,
    retry: false,
    gcTime: 0,
  })
  const rows = given.length > 0 ? (tried.data ?? []) : []
  const right = rows.filter((row) => row.result?.verdict === 'right').length
  return (
    <div className="flex flex-col gap-2">
      <AreaField
        label="Answers, one a line"
        rows={4}
        value={text}
        onChange={(e) => setText(e.target.value)}
        fault={lines.length > MOST ? `The first ${MOST} are tried.` : undefined}
      />
      {tried.error ? <p className="text-sm text-bad">✕ {problemOf(tried.error).detail}</p> : null}
      {rows.length > 0 ? (
        <table className="w-full text-sm">
          <caption className="pb-1 text-left text-quiet">
            {right} of {plural(rows.length, 'answer')} right
          </caption>
          <thead className="sr-only">
            <tr>
              <th scope="col">Answer</th>
              <th scope="col">Credit</th>
              <th scope="col">What it shows</th>
            </tr>
          </thead>
          <tbody>
            {rows.map(({ line, result }, i) => (
              <tr key={i} className="border-t align-baseline">
                <th scope="row" className="max-w-24 truncate py-0.5 pr-2 text-left font-semibold">
                  {line}
                </th>
                <td className="pr-2 whitespace-nowrap">
                  {result ? (
                    <>
                      <Bar code={barOf(result.verdict)} /> {result.credit ?? '–'}
                    </>
                  ) : null}
                </td>
                <td className="text-quiet">
                  {[
                    lineNamed(item, result?.line ?? ''),
                    ...(result?.misconceptions ?? []).map(
                      (id) => terms.data?.misconceptions.find((m) => m.id === id)?.name,
                    ),
                  ]
                    .filter(Boolean)
                    .join(' · ')}
                </td>
              </tr>
            ))}
          </tbody>
        </table>
      ) : null}
    </div>
  )
}
