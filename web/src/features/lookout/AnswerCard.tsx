import { Link } from 'react-router'
import { Given } from '@/answers/Answer'
import type { Schemas } from '@/lib/api/client'
import { timeOfDay } from '@/lib/format'
import { Bar, type BarCode } from '@/ui/Bar'
import type { Row } from './rows'

/** What one student has given, small: a drawing as it grows, else their words. */
export function AnswerCard({
  row,
  name,
  to,
  answer,
  face,
  drawn,
}: {
  row: Row
  name: string
  to: string
  answer: Schemas['LookoutOneAnswerView'] | undefined
  face: Schemas['LookoutOneQuestionView']['face']
  drawn: boolean
}) {
  const none = <span className="text-quiet">{row.state === 'open' ? 'nothing yet' : 'left blank'}</span>
  const foot = (
    <p className="flex items-baseline gap-2 text-[15px]">
      <Link to={to} className="min-w-0 flex-1 truncate hover:underline">
        {name}
      </Link>
      <span className={`shrink-0 text-sm ${row.call ? 'font-semibold text-rust' : 'text-quiet'}`}>
        {standing(row, answer?.savedAt)}
      </span>
    </p>
  )
  if (drawn)
    return (
      <li>
        <div className="flex aspect-[4/3] items-center justify-center overflow-hidden rounded border bg-sheet p-1 text-sm">
          {answer?.response ? (
            <div className="w-full">
              <Given face={face} value={answer.response} />
            </div>
          ) : (
            none
          )}
        </div>
        {foot}
      </li>
    )
  return (
    <li className="border-b py-2">
      {foot}
      <p className="flex items-baseline gap-2">
        {answer ? <Bar code={answer.code as BarCode} /> : null}
        <span className="line-clamp-3 min-w-0 break-words">{answer?.given || none}</span>
      </p>
    </li>
  )
}

function standing(row: Row, savedAt: string | undefined): string {
  if (row.call) return row.call.kind === 'look' ? 'look' : 'stuck'
  if (row.state !== 'open') return 'handed in'
  return savedAt ? timeOfDay(new Date(savedAt)) : ''
}
