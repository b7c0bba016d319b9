import { useQuery, useQueryClient } from '@tanstack/react-query'
import { useEffect, useRef, useState } from 'react'
import { useNavigate, useParams } from 'react-router'
import { isDrawn } from '@/answers/registry'
import { api, take, type Schemas } from '@/lib/api/client'
import { plural } from '@/lib/format'
import { useKeys } from '@/lib/keys'
import { Rich } from '@/lib/Rich'
import { Button } from '@/ui/Button'
import { Desk, Head } from '@/ui/Desk'
import { Failed, Loading } from '@/ui/States'
import { later } from '@/ui/later'
import { AnswerCard } from './AnswerCard'
import { GiveKey } from './GiveKey'
import { Groups } from './Groups'
import { OnTheWall } from './OnTheWall'
import { useNames } from './names'
import { useRoom } from './room'
import type { Row } from './rows'
import { useLookout } from './useLookout'

const HoldDialog = later(() => import('./HoldDialog').then((it) => it.HoldDialog))

type One = Schemas['LookoutOneQuestionView']
const NOBODY: Row[] = []
/** Thirty students who type at once are looked at together. */
const TOGETHER = 400

/** One question of a running handout: what each student has given so far, as it grows, and how that splits. */
export default function QuestionDesk() {
  const { id = '', entry = '' } = useParams()
  const navigate = useNavigate()
  const client = useQueryClient()
  const timer = useRef<ReturnType<typeof setTimeout> | undefined>(undefined)
  useEffect(() => () => clearTimeout(timer.current), [])
  const key = ['lookout', id, entry]
  const one = useQuery({
    queryKey: key,
    queryFn: () => take(api.GET('/api/handouts/{id}/lookout/{entry}', { params: { path: { id, entry } } })),
    placeholderData: (old: One | undefined) => (old?.entry === entry ? old : undefined),
  })
  const { snapshot } = useLookout(id, () => {
    timer.current ??= setTimeout(() => {
      timer.current = undefined
      void client.invalidateQueries({ queryKey: key })
    }, TOGETHER)
  })
  const rows = snapshot.data?.rows ?? NOBODY
  const { hidden, turn, nameOf } = useNames(id, rows)
  const room = useRoom(id)
  const [holding, setHolding] = useState(false)
  const columns = snapshot.data?.columns ?? []
  const at = columns.findIndex((c) => c.entry === entry)
  const go = (by: number) => {
    const next = columns[at + by]
    if (next) void navigate(`/lookout/${id}/${next.entry}`)
  }
  const held = rows.some((r) => r.held)
  const turnHold = () => (held ? void room.release(null, 'Everybody') : setHolding(true))
  useKeys({
    n: { label: 'Hide or show names', run: turn },
    h: { label: 'Hold all, or release them', run: turnHold },
    u: { label: 'All questions', run: () => void navigate(`/lookout/${id}`) },
    ArrowRight: { label: 'Next question', run: () => go(1) },
    ArrowLeft: { label: 'Previous question', run: () => go(-1) },
  })
  if (one.isPending || snapshot.isPending) return <Loading what="Opening the question" />
  if (!one.data || !snapshot.data)
    return (
      <Failed error={one.error ?? snapshot.error} retry={() => void one.refetch().then(() => snapshot.refetch())} />
    )
  const { handout } = snapshot.data
  const given = new Map(one.data.answers.map((a) => [a.studentId, a]))
  const rowOf = new Map(rows.map((r) => [r.studentId, r]))
  const answered = one.data.answers.filter((a) => a.code !== 'blank').length
  const started = rows.filter((r) => r.state !== 'expected')
  const drawn = isDrawn(one.data.face.type)
  const named = (studentId: string) => {
    const row = rowOf.get(studentId)
    return row ? nameOf(row) : ''
  }
  return (
    <>
      <Head
        title={one.data.title}
        note={`question ${one.data.number} of ${handout.title} · answered by ${answered} of ${started.length} here`}
      >
        <Button disabled={at <= 0} onClick={() => go(-1)}>
          <span aria-hidden>‹</span>
          <span className="sr-only">Previous question</span>
        </Button>
        <Button disabled={at < 0 || at >= columns.length - 1} onClick={() => go(1)}>
          <span aria-hidden>›</span>
          <span className="sr-only">Next question</span>
        </Button>
        <Button hint="u" onClick={() => void navigate(`/lookout/${id}`)}>
          All questions
        </Button>
        <Button hint="n" aria-pressed={hidden !== null} onClick={turn}>
          {hidden ? 'Show names' : 'Hide names'}
        </Button>
        {handout.status === 'open' ? (
          <Button hint="h" aria-pressed={held} onClick={turnHold}>
            {held ? 'Release all' : 'Hold all'}
          </Button>
        ) : null}
      </Head>
      <Desk
        rightLabel="How it splits"
        right={
          <>
            <div className="mb-4 border-b pb-3 text-[15px]">
              <Rich html={one.data.face.prompt} />
            </div>
            {one.data.keyless !== null ? (
              <section className="mb-4 border-b pb-4">
                <h2 className="mb-2 text-lg">Which is the key?</h2>
                <GiveKey key={entry} handoutId={id} entry={entry} number={one.data.number} letters={one.data.keyless} />
              </section>
            ) : null}
            {/* A drawing is looked at; in words no two of them say anything. */}
            {drawn && one.data.groups.every((g) => g.letter === '') ? null : (
              <Groups
                key={entry}
                groups={one.data.groups}
                nameOf={named}
                onWrite={
                  handout.status === 'open'
                    ? (students, said) => room.write(students, said, plural(students.length, 'student'), entry)
                    : undefined
                }
              />
            )}
            <OnTheWall handoutId={id} one={one.data} />
          </>
        }
      >
        <div className="px-5 py-4">
          {started.length === 0 ? <p className="text-quiet">Nobody has joined yet.</p> : null}
          <ul
            className={
              drawn ? 'grid grid-cols-[repeat(auto-fill,minmax(180px,1fr))] gap-4' : 'grid gap-x-8 md:grid-cols-2'
            }
          >
            {started.map((row) => (
              <AnswerCard
                key={row.studentId}
                row={row}
                name={nameOf(row)}
                to={`/lookout/${id}?student=${row.studentId}`}
                answer={given.get(row.studentId)}
                face={one.data.face}
                drawn={drawn}
              />
            ))}
          </ul>
        </div>
      </Desk>
      {holding ? (
        <HoldDialog whom="all" onHold={(words) => room.hold(null, words, 'All')} onClose={() => setHolding(false)} />
      ) : null}
    </>
  )
}
