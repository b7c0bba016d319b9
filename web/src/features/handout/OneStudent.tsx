import { Quoted } from '@/ui/Quoted'
import { useQuery } from '@tanstack/react-query'
import { ask } from '@/lib/queries'
import { kindOf } from '@/answers/registry'
import type { Schemas } from '@/lib/api/client'
import { decimal } from '@/lib/format'
import { Rich } from '@/lib/Rich'
import { isTold, MOMENTS, type Moment } from '@/lib/telling'
import { Bar } from '@/ui/Bar'
import { Loading } from '@/ui/States'

type Item = Schemas['Item']
/** How the made-up student did at the questions shown. */
const DID = ['right', 'wrong', 'right'] as const

/** What one student will see at a moment: the first questions of the paper, as the plan tells of them. */
export function OneStudent({
  paperId,
  plan,
  at,
}: {
  paperId: string
  plan: Schemas['Conditions']['feedback']
  at: Moment
}) {
  const paper = useQuery(ask.paper(paperId))
  if (!paper.data) return <Loading what="Opening the paper" />
  const entries = paper.data.paper.sections.flatMap((s) => s.entries)
  const questions = entries.flatMap((e) => {
    const item = e.kind === 'question' ? paper.data.items[e.item] : undefined
    return item ? [{ item, points: e.kind === 'question' ? e.points : '1' }] : []
  })
  const shown = at === 'at once' ? questions.slice(0, 1) : questions.slice(0, DID.length)
  const told = (thing: Parameters<typeof isTold>[1]) => isTold(plan, thing, at)
  const none = !told('right or wrong') && !told('marks') && !told('the key')
  return (
    <figure>
      <figcaption className="text-[15px] text-quiet">
        A student, when the work is <b className="text-ink">{MOMENTS.find((m) => m.id === at)?.label}</b>
      </figcaption>
      <div className="mx-auto mt-2 max-w-[250px] rounded-xl border-2 border-ink bg-sheet px-4 py-4">
        <p className="font-head text-lg font-semibold">
          {at === 'at once' ? 'Question 1' : at === 'handed in' ? 'Handed in' : 'Returned'}
        </p>
        <p className="border-b pb-2 text-sm text-quiet">{paper.data.paper.title}</p>
        <ol>
          {shown.map(({ item, points }, i) => (
            <Told key={i} n={i + 1} item={item} points={points} did={DID[i] ?? 'right'} told={told} />
          ))}
        </ol>
        {none ? (
          <p className="pt-2 text-sm text-quiet">
            {plan === 'nothing'
              ? 'Nothing is told of how it went.'
              : at === 'at once'
                ? 'The answer is kept; nothing is told yet.'
                : 'Your teacher gives the work back.'}
          </p>
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
  told: (thing: Parameters<typeof isTold>[1]) => boolean
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
          {told('right or wrong') ? (
            <p>
              <Bar code={did} /> {did === 'right' ? 'right' : 'not right'}
              {told('marks') ? `, ${did === 'right' ? decimal(points) : 0} of ${decimal(points)}` : ''}
            </p>
          ) : (
            <p className="text-quiet">answered</p>
          )}
          {told('feedback') && feedback ? <Quoted words={feedback} /> : null}
          {told('the key') && did !== 'right' && key ? (
            <p className="flex gap-1">
              <b>Key</b> {key.rich ? <Rich html={key.text} inline /> : key.text}
            </p>
          ) : null}
          {told('worked answer') && did !== 'right' && item.explanation ? (
            <Rich html={item.explanation} className="text-quiet" />
          ) : null}
        </>
      )}
    </li>
  )
}
