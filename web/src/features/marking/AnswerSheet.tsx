import { Link } from 'react-router'
import { Given } from '@/answers/Answer'
import { faceOf, isDrawn } from '@/answers/registry'
import { WorkingGiven } from '@/answers/Working'
import type { Schemas } from '@/lib/api/client'
import { plural } from '@/lib/format'
import { Bar, barOf } from '@/ui/Bar'
import { done, type Answer } from './order'

type Props = {
  item: Schemas['Item']
  number: number
  answer: Answer
  set: Schemas['MarkingLookAlikeView'] | undefined
  at: number
  open: boolean
  /** Where the student's whole work is; none where names are hidden. */
  work: string | null
}

/** What help was asked for, and what that takes off the marks. */
const hintsSaid = ({ hintsOpened, hintsCost }: Answer) =>
  hintsOpened === 0 ? '' : `${plural(hintsOpened, 'hint')} opened${hintsCost === '0' ? '' : `, marks − ${hintsCost}`}`

/** The answer at hand, as the student wrote it. */
export function AnswerSheet({ item, number, answer, set, at, open, work }: Props) {
  const place = set ? set.answers.indexOf(at) : -1
  return (
    <article className="rung-top rounded border bg-sheet p-6" aria-label="The answer at hand">
      <p className="flex text-sm text-quiet">
        <span className="flex-1">
          {work ? (
            <Link to={work} className="hover:underline">
              {answer.student}
            </Link>
          ) : (
            answer.student
          )}
          {answer.ownNumber !== null && answer.ownNumber !== number
            ? ` · question ${answer.ownNumber} on their paper`
            : ''}
          {set && set.answers.length > 1 ? ` · answer ${place + 1} of ${set.answers.length} in this set` : ''}
        </span>
        <span>
          {[
            hintsSaid(answer),
            open ? answer.readAs : '',
            answer.returned ? 'returned' : '',
            answer.try > 1 ? `try ${answer.try}` : '',
          ]
            .filter(Boolean)
            .join(' · ')}
        </span>
      </p>
      {isDrawn(item.type) ? (
        <div className="mt-3">
          <Given face={faceOf(item)} value={answer.response} />
        </div>
      ) : (
        <p className="mt-2 text-lg leading-relaxed whitespace-pre-wrap">{answer.given}</p>
      )}
      <WorkingGiven value={answer.working} />
      {done(answer) && open ? (
        <p className="mt-3 border-t pt-2 text-[15px]">
          <Bar code={barOf(answer.verdict)} /> marked
        </p>
      ) : null}
      {answer.comment ? (
        <p className="mt-2 text-[15px]">
          <b className="text-blue">Comment</b> {answer.comment}
        </p>
      ) : null}
    </article>
  )
}
