import { Quoted } from '@/ui/Quoted'
import { useQuery } from '@tanstack/react-query'
import { ask } from '@/lib/queries'
import { kindOf } from '@/answers/registry'
import type { Schemas } from '@/lib/api/client'
import { decimal } from '@/lib/format'
import { Rich } from '@/lib/Rich'
import type { Tells } from '@/lib/conditions'
import { isSilent, isTold, MOMENTS, THINGS, type Moment, type Thing } from '@/lib/telling'
import { Bar } from '@/ui/Bar'
import { Loading } from '@/ui/States'

type Item = Schemas['Item']
/** How the made-up student did at the questions shown. */
const DID = ['right', 'wrong', 'right'] as const

/** What one student will see at a moment: the first questions of the paper, as the plan tells of them. */
export function OneStudent({
  paperId,
  tells,
  at,
  coming,
}: {
  paperId: string
  tells: Tells
  at: Moment
  /** what they are told of what is still to come, once it is known */
  coming: { handedIn: string; closed: string } | undefined
}) {
  const paper = useQuery(ask.paper(paperId))
  if (!paper.data) return <Loading what="Opening the paper" />
  const entries = paper.data.paper.sections.flatMap((s) => s.entries)
  const questions = entries.flatMap((e) => {
    const item = e.kind === 'question' ? paper.data.items[e.item] : undefined
    return item ? [{ item, points: e.kind === 'question' ? e.points : '1' }] : []
  })
  const shown = at === 'at once' ? questions.slice(0, 1) : questions.slice(0, DID.length)
  const told = (thing: Thing) => isTold(tells, thing, at)
  const comes = at === 'handed in' ? coming?.handedIn : at === 'closed' ? coming?.closed : ''
  return (
    <figure>
      <figcaption className="text-[15px] text-quiet">
        A student, when the work is <b className="text-ink">{MOMENTS.find((m) => m.id === at)?.label}</b>
      </figcaption>
      <div className="mx-auto mt-2 max-w-[250px] rounded-xl border-2 border-ink bg-sheet px-4 py-4">
        <p className="font-head text-lg font-semibold">
          {at === 'at once' ? 'Question 1' : at === 'returned' ? 'Returned to you' : 'Handed in'}
        </p>
        <p className="border-b pb-2 text-sm text-quiet">{paper.data.paper.title}</p>
        <ol>
          {shown.map(({ item, points }, i) => (
            <Told key={i} n={i + 1} item={item} points={points} did={DID[i] ?? 'right'} told={told} />
          ))}
        </ol>
        {isSilent(tells) ? (
          <p className="pt-2 text-sm text-quiet">Nothing is told of how it went.</p>
        ) : at === 'at once' && !THINGS.some((thing) => told(thing.id)) ? (
          <p className="pt-2 text-sm text-quiet">The answer is kept; nothing is told yet.</p>
        ) : comes ? (
          <p className="pt-2 text-sm text-quiet">{comes}</p>
        ) : null}
        {questions.length === 0 ? <p className="pt-2 text-sm text-quiet">The paper has no question yet.</p> : null}
      </div>
      <p className="mt-2 text-sm text-quiet">Made up: right, then not, then right.</p>
    </figure>
  )
}

function Told({
  n,
  item,
  points,
  did,
  told,
}: {
  n: number
  item: Item
  points: string
  did: (typeof DID)[number]
  told: (thing: Thing) => boolean
}) {
  const lines = kindOf(item.type).keyLines(item.rule)
  const byHand = kindOf(item.type).byHand
  const feedback = lines.find((l) => (did === 'right') === l.isKey && l.feedback !== '')?.feedback
  const key = lines.find((l) => l.isKey)
  return (
    <li className="border-b py-2 text-sm">
      <p className="line-clamp-2">
        <b>{n}</b> {item.title}
      </p>
      {byHand ? (
        <p className="text-quiet">A teacher marks this</p>
      ) : (
        <>
          {told('verdict') ? (
            <p>
              <Bar code={did} /> {did === 'right' ? 'right' : 'not right'}
              {told('marks') ? `, ${did === 'right' ? decimal(points) : 0} of ${decimal(points)}` : ''}
            </p>
          ) : (
            <p className="text-quiet">answered</p>
          )}
          {!told('verdict') && told('marks') ? (
            <p>
              {did === 'right' ? decimal(points) : 0} of {decimal(points)}
            </p>
          ) : null}
          {told('feedback') && feedback ? <Quoted words={feedback} /> : null}
          {told('key') && did !== 'right' && key ? (
            <p className="flex gap-1">
              <b>Key</b> {key.rich ? <Rich html={key.text} inline /> : key.text}
            </p>
          ) : null}
          {told('workedAnswer') && did !== 'right' && item.explanation ? (
            <Rich html={item.explanation} className="text-quiet" />
          ) : null}
          {told('classPicture') ? <p className="text-quiet">Of 26 who answered, 17 had this right.</p> : null}
        </>
      )}
    </li>
  )
}
