import { Given } from '@/answers/Answer'
import { faceOf, isSmall } from '@/answers/registry'
import type { Schemas } from '@/lib/api/client'
import { Bar, barOf } from '@/ui/Bar'
import { done, nameOf } from './order'
import type { Marking } from './useMarking'

/** The answers of the question, those that look alike as one line. */
export function AlikeSets({
  item,
  sets,
  marking,
}: {
  item: Schemas['Item']
  sets: Schemas['MarkingLookAlikeView'][]
  marking: Marking
}) {
  const { answers, at, setAt, open, unkept } = marking
  return (
    <>
      <h2 className="pb-1 font-sans text-sm font-normal tracking-normal text-quiet">Alike answers together</h2>
      <ol>
        {sets.map((s, i) => {
          const n = s.answers.filter((p) => answers[p] && done(answers[p])).length
          const left = s.answers.filter((p) => p !== at && answers[p] && unkept.has(nameOf(answers[p]))).length
          const on = s.answers.includes(at)
          const first = answers[s.answers[0] ?? -1]
          return (
            <li key={i} className={`relative border-b ${on ? 'rung-row' : 'hover:bg-pale'}`}>
              {isSmall(item.type) && first ? (
                // Its words stand in the button; this is for the eye.
                <div aria-hidden inert className="mx-2.5 pt-2 w-36 max-w-full text-xs">
                  <Given face={faceOf(item)} value={first.response} />
                </div>
              ) : null}
              <button
                className="w-full px-2.5 py-2 text-left after:absolute after:inset-0"
                aria-current={on || undefined}
                onClick={() => setAt(s.answers.find((p) => answers[p] && !done(answers[p])) ?? s.answers[0] ?? at)}
              >
                <span className={`line-clamp-2 ${on ? 'font-bold' : ''}`}>{s.label}</span>
                <span className="text-sm text-quiet">
                  {open ? null : <Bar code={barOf(answers[s.answers[0] ?? -1]?.verdict ?? 'none')} />}{' '}
                  {s.answers.length === 1 ? 'alone' : `${s.answers.length} alike`}
                  {open ? `, ${n} marked` : ''}
                  {left > 0 ? <b className="text-ink">{`, ${left} not kept`}</b> : null}
                </span>
              </button>
            </li>
          )
        })}
      </ol>
    </>
  )
}
