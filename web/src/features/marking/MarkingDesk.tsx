import { ChevronDown } from 'lucide-react'
import { useState } from 'react'
import { Link, useNavigate } from 'react-router'
import type { Schemas } from '@/lib/api/client'
import { plural } from '@/lib/format'
import { useSaid } from '@/lib/say'
import { kindOf } from '@/answers/registry'
import { Rich } from '@/lib/Rich'
import { Button } from '@/ui/Button'
import { Desk, Head } from '@/ui/Desk'
import { Fold } from '@/ui/Fold'
import { later } from '@/ui/later'
import { Menu } from '@/ui/Menu'
import { AlikeSets } from './AlikeSets'
import { AnswerSheet } from './AnswerSheet'
import { MarkPanel } from './MarkPanel'
import { done, type Answer } from './order'
import { useMarking } from './useMarking'

// Acts of now and then, fetched when they are asked for.
const KeyDialog = later(() => import('./KeyDialog').then((it) => it.KeyDialog))
// Folded until somebody wants to read it again.
const SourcePage = later(() => import('@/media/SourcePage').then((it) => it.SourcePage))
const ReturnDialog = later(() => import('./ReturnDialog').then((it) => it.ReturnDialog))

const nameOf = (q: Schemas['MarkingDeskView']['questions'][number]) =>
  `${q.number} ${q.title}${q.waiting > 0 ? `, ${q.waiting} wait` : ''}`

type Props = {
  desk: Schemas['MarkingDeskView']
  startWithKey: boolean
  onKeyShut: () => void
  mayChangeKey: boolean
}

export default function MarkingDesk({ desk, startWithKey, onKeyShut, mayChangeKey }: Props) {
  const navigate = useNavigate()
  const [keyOpen, setKeyOpen] = useState<{ accept: Answer | null } | null>(startWithKey ? { accept: null } : null)
  const [returning, setReturning] = useState(false)
  const onAccept = mayChangeKey && kindOf(desk.item.type).accepting ? (accept: Answer) => setKeyOpen({ accept }) : null
  const marking = useMarking(desk, onAccept)
  const { answers, answer, at, setAt, order, open } = marking
  const item = desk.item
  const closeKey = () => {
    setKeyOpen(null)
    onKeyShut()
  }
  const set = desk.sets.find((s) => s.answers.includes(at))
  const ahead = order.slice(order.indexOf(at) + 1, order.indexOf(at) + 3)
  const marked = answers.filter(done).length
  const here = desk.questions.find((q) => q.entry === desk.entry)
  useSaid(open && answers.length > 0 && marked === answers.length ? 'All answers to this question are marked.' : '')
  return (
    <>
      <Head
        title={desk.title}
        note={`Question ${desk.number} · ${desk.handout}${desk.second ? ' · second marking, first marks hidden' : ''}${desk.namesHidden ? ' · names hidden' : ''}`}
      >
        <span className="text-[15px] text-quiet tabular-nums">
          {marked} of {answers.length} marked
          {marking.unsent > 0 ? <b className="text-bad"> · {plural(marking.unsent, 'mark')} not sent yet</b> : null}
        </span>
        <Menu
          face={
            <>
              <span className="max-w-56 truncate font-normal">{here ? nameOf(here) : 'Question'}</span>
              <ChevronDown aria-hidden className="size-4 text-quiet" />
            </>
          }
          label={`Question ${here ? nameOf(here) : ''}: go to another`}
          size="small"
          className="min-h-8"
          now={desk.entry}
          acts={desk.questions.map((q) => ({
            id: q.entry,
            label: nameOf(q),
            run: () => void navigate(`/marking/${desk.handoutId}/${q.entry}`),
          }))}
        />
        {mayChangeKey && !open ? <Button onClick={() => setKeyOpen({ accept: null })}>Change the key</Button> : null}
        {open ? (
          <Button
            onClick={() => void navigate(`/marking/${desk.handoutId}/${desk.entry}${desk.second ? '' : '?second=1'}`)}
          >
            {desk.second ? 'First marks' : 'Mark a second time'}
          </Button>
        ) : null}
        {mayChangeKey && !desk.second ? (
          <Button kind="do" onClick={() => setReturning(true)}>
            Return
          </Button>
        ) : null}
      </Head>
      <Desk
        leftLabel="Alike answers"
        rightLabel="The mark"
        left={<AlikeSets item={desk.item} sets={desk.sets} marking={marking} />}
        right={<MarkPanel desk={desk} marking={marking} onAccept={onAccept} mayChangeKey={mayChangeKey} />}
      >
        <div className="mx-auto flex max-w-2xl flex-col gap-4 p-6">
          <Fold label="The question">
            <Rich html={item.prompt} />
          </Fold>
          {desk.beside.map((source) => (
            <Fold key={source.entry} label={source.title || 'What it is read with'}>
              <SourcePage
                source={source}
                looks={
                  desk.looksAt?.source === source.entry
                    ? [{ entry: desk.entry, number: desk.number, current: true, at: desk.looksAt }]
                    : []
                }
              />
            </Fold>
          ))}
          {answer ? (
            <AnswerSheet
              item={item}
              number={desk.number}
              answer={answer}
              set={set}
              at={at}
              open={open}
              work={desk.namesHidden || desk.second ? null : `/lookout/${desk.handoutId}?work=${answer.sittingId}`}
            />
          ) : (
            <p className="rounded border border-dashed border-edge p-6 text-quiet">
              {desk.second
                ? 'Nobody else has marked an answer to this question yet.'
                : 'Nobody has handed in an answer to this question.'}{' '}
              <Link to="/marking">Back to marking</Link>
            </p>
          )}
          {ahead.map((p) => (
            <button
              key={p}
              className="rounded border bg-sheet/60 px-6 py-3 text-left text-quiet"
              onClick={() => setAt(p)}
            >
              <span className="line-clamp-2">{answers[p]?.given}</span>
            </button>
          ))}
          {marked === answers.length && answers.length > 0 && open ? (
            <p className="text-good">
              ✓ All {plural(answers.length, 'answer')} to this question are marked{desk.second ? ' a second time' : ''}.{' '}
              {desk.second && mayChangeKey ? (
                <Link to={`/results/${desk.handoutId}?view=markers`} className="underline">
                  How far do you agree?
                </Link>
              ) : null}
            </p>
          ) : null}
        </div>
      </Desk>
      {keyOpen ? <KeyDialog desk={desk} accept={keyOpen.accept} onClose={closeKey} /> : null}
      {returning ? (
        <ReturnDialog handoutId={desk.handoutId} title={desk.handout} onClose={() => setReturning(false)} />
      ) : null}
    </>
  )
}
