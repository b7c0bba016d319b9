import { useQueryClient } from '@tanstack/react-query'
import { useEffect, useMemo, useRef, useState, type ReactNode } from 'react'
import { Link, useNavigate } from 'react-router'
import { api, problemOf, take, type Schemas } from '@/lib/api/client'
import { marks, plural, rational } from '@/lib/format'
import { useKeys, type Acts } from '@/lib/keys'
import { Rich } from '@/lib/Rich'
import { Bar, barOf } from '@/ui/Bar'
import { Button, Key } from '@/ui/Button'
import { Desk, Head } from '@/ui/Desk'
import { toast } from '@/ui/Toasts'
import { KeyDialog } from './KeyDialog'
import { done, inSets, nextWaiting, pointsOf, type Answer } from './order'
import { ReturnDialog } from './ReturnDialog'

const SHELF_KEYS = ['a', 's', 'd', 'f', 'g', 'h']
type Props = {
  desk: Schemas['MarkingDeskView']
  startWithKey: boolean
  onKeyShut: () => void
  mayChangeKey: boolean
  /** The bank's editor for an answer rule. */
  ruleEditor: (item: Schemas['Item'], onChange: (item: Schemas['Item']) => void) => ReactNode
}

export default function MarkingDesk({ desk, startWithKey, onKeyShut, mayChangeKey, ruleEditor }: Props) {
  const client = useQueryClient()
  const navigate = useNavigate()
  const [answers, setAnswers] = useState(desk.answers)
  const order = useMemo(() => inSets(desk.sets), [desk.sets])
  const [at, setAt] = useState(
    () => order.find((place) => desk.answers[place] && !done(desk.answers[place])) ?? order[0] ?? -1,
  )
  const [levels, setLevels] = useState<(number | null)[]>([])
  const [active, setActive] = useState(0)
  const [comment, setComment] = useState('')
  const [keyOpen, setKeyOpen] = useState<{ accept: Answer | null } | null>(startWithKey ? { accept: null } : null)
  const [returning, setReturning] = useState(false)
  const trail = useRef<{ place: number; before: Answer }[]>([])
  const box = useRef<HTMLTextAreaElement>(null)
  const answer = answers[at]
  const item = desk.item
  const criteria = item.type === 'open' ? item.rule.criteria : []
  const open = item.type === 'open'

  useEffect(() => {
    setLevels(answer?.levels ?? criteria.map(() => null))
    setComment(answer?.comment ?? '')
    setActive(0)
    // A new answer on the desk; the criteria belong to the question and do not change.
    // eslint-disable-next-line react-hooks/exhaustive-deps
  }, [at])

  const put = async (
    place: number,
    change: { levels?: (number | null)[] | null; credit?: string | null; comment: string },
  ) => {
    const before = answers[place]
    if (!before) return false
    try {
      const mark = await take(
        api.PUT('/api/marks', {
          body: {
            sittingId: before.sittingId,
            entry: desk.entry,
            try: before.try,
            levels: change.levels ?? null,
            credit: change.credit ?? null,
            comment: change.comment,
            markVersion: before.markVersion,
          },
        }),
      )
      setAnswers((old) => old.map((a, i) => (i === place ? { ...a, ...mark } : a)))
      void client.invalidateQueries({ queryKey: ['marking'] })
      return true
    } catch (thrown) {
      const problem = problemOf(thrown)
      toast(`${problem.message} ${problem.detail}`, { bad: true })
      if (problem.status === 409) void client.invalidateQueries({ queryKey: ['desk'] })
      return false
    }
  }
  const next = () => {
    const place = nextWaiting(order, answers, at)
    if (place !== null) setAt(place)
    else step(1)
  }
  const step = (by: number) => {
    const place = order[Math.max(0, Math.min(order.length - 1, order.indexOf(at) + by))]
    if (place !== undefined) setAt(place)
  }
  const keep = async () => {
    if (!answer) return
    if (open && levels.some((l) => l === null)) {
      setActive(levels.findIndex((l) => l === null))
      toast(`Pick a level for "${criteria[levels.findIndex((l) => l === null)]?.name ?? ''}" first.`, { bad: true })
      return
    }
    trail.current.push({ place: at, before: answer })
    const going = put(at, open ? { levels, comment } : { credit: answer.byHand ? answer.credit : null, comment })
    next()
    await going
  }
  const override = async (credit: string | null) => {
    if (!answer) return
    trail.current.push({ place: at, before: answer })
    await put(at, { credit, comment })
  }
  const undo = async () => {
    const last = trail.current.pop()
    if (!last) return
    setAt(last.place)
    if (
      await put(last.place, {
        levels: last.before.levels,
        credit: open || !last.before.byHand ? null : last.before.credit,
        comment: last.before.comment,
      })
    ) {
      setLevels(last.before.levels ?? criteria.map(() => null))
      setComment(last.before.comment)
      toast('The last mark has been taken back.')
    }
  }
  const pick = (level: number) => {
    if (!criteria[active]?.levels[level]) return
    setLevels((old) => criteria.map((_, i) => (i === active ? level : (old[i] ?? null))))
    setActive(Math.min(active + 1, criteria.length - 1))
  }
  const acts: Acts = {
    Enter: { label: 'Keep the mark and go to the next answer', run: () => void keep() },
    ArrowRight: { label: 'Next answer', run: () => step(1) },
    ArrowLeft: { label: 'Previous answer', run: () => step(-1) },
    c: { label: 'Write a comment', run: () => box.current?.focus() },
    z: { label: 'Take the last mark back', run: () => void undo() },
    Escape: { label: 'Leave the comment', run: () => box.current?.blur(), inFields: true },
    'Ctrl+Enter': { label: 'Keep and next, from the comment', run: () => void keep(), inFields: true },
  }
  if (open) {
    for (let i = 0; i < 10; i++)
      acts[String(i)] = { label: `Level ${i + 1} of the criterion at hand`, run: () => pick(i) }
    acts.ArrowDown = { label: 'Next criterion', run: () => setActive(Math.min(active + 1, criteria.length - 1)) }
    acts.ArrowUp = { label: 'Previous criterion', run: () => setActive(Math.max(active - 1, 0)) }
  } else {
    acts['1'] = { label: 'Full credit for this student', run: () => void override('1') }
    acts['2'] = { label: 'Half credit for this student', run: () => void override('1/2') }
    acts['0'] = { label: 'No credit for this student', run: () => void override('0') }
    acts.m = { label: 'Back to the machine’s mark', run: () => void override(null) }
    if (mayChangeKey)
      acts.o = { label: 'Accept this answer for all who gave it', run: () => answer && setKeyOpen({ accept: answer }) }
  }
  desk.shelf.forEach((text, i) => {
    const key = SHELF_KEYS[i]
    if (key)
      acts[key] = {
        label: `Comment: ${text.slice(0, 40)}`,
        run: () => setComment((old) => (old ? `${old} ${text}` : text)),
      }
  })
  useKeys(acts)

  const closeKey = () => {
    setKeyOpen(null)
    onKeyShut()
  }
  const set = desk.sets.find((s) => s.answers.includes(at))
  const place = set ? set.answers.indexOf(at) : -1
  const ahead = order.slice(order.indexOf(at) + 1, order.indexOf(at) + 3)
  const { reached, possible } = pointsOf(criteria, levels, rational)
  const worth = rational(item.points)
  const marked = answers.filter(done).length
  return (
    <>
      <Head
        title={desk.title}
        note={`Question ${desk.number} · ${desk.handout}${desk.namesHidden ? ' · names hidden' : ''}`}
      >
        <span className="text-[15px] text-quiet tabular-nums">
          {marked} of {answers.length} marked
        </span>
        <label className="sr-only" htmlFor="question">
          Question
        </label>
        <select
          id="question"
          className="rounded border border-edge bg-sheet px-2 py-1.5 text-[15px]"
          value={desk.entry}
          onChange={(e) => void navigate(`/marking/${desk.handoutId}/${e.target.value}`)}
        >
          {desk.questions.map((q) => (
            <option key={q.entry} value={q.entry}>
              {q.number} {q.title}
              {q.waiting > 0 ? `, ${q.waiting} wait` : ''}
            </option>
          ))}
        </select>
        {mayChangeKey && !open ? <Button onClick={() => setKeyOpen({ accept: null })}>Change the key</Button> : null}
        {mayChangeKey ? (
          <Button kind="do" onClick={() => setReturning(true)}>
            Return
          </Button>
        ) : null}
      </Head>
      <Desk
        leftLabel="Alike answers"
        rightLabel="The mark"
        left={
          <>
            <h2 className="pb-1 font-sans text-sm font-normal tracking-normal text-quiet">Alike answers together</h2>
            <ol>
              {desk.sets.map((s, i) => {
                const n = s.answers.filter((p) => answers[p] && done(answers[p])).length
                const on = s === set
                return (
                  <li key={i} className="border-b">
                    <button
                      className={`w-full px-2.5 py-2 text-left ${on ? 'rung-row' : 'hover:bg-pale'}`}
                      aria-current={on || undefined}
                      onClick={() =>
                        setAt(s.answers.find((p) => answers[p] && !done(answers[p])) ?? s.answers[0] ?? at)
                      }
                    >
                      <span className={`line-clamp-2 ${on ? 'font-bold' : ''}`}>{s.label}</span>
                      <span className="text-sm text-quiet">
                        {s.answers.length === 1 ? 'alone' : `${s.answers.length} alike`}
                        {open ? `, ${n} marked` : ''}
                      </span>
                    </button>
                  </li>
                )
              })}
            </ol>
          </>
        }
        right={
          !answer ? (
            <p className="text-quiet">No answer to mark.</p>
          ) : (
            <div className="flex flex-col gap-5">
              {criteria.map((criterion, i) => (
                <section key={i}>
                  <h2
                    className={`text-lg ${active === i ? 'underline decoration-rust decoration-4 underline-offset-4' : ''}`}
                  >
                    {criterion.name}
                  </h2>
                  <ol className="mt-1 border-t">
                    {criterion.levels.map((level, j) => (
                      <li key={j} className="border-b">
                        <button
                          className={`flex w-full items-baseline gap-3 px-2 py-1.5 text-left ${levels[i] === j ? 'rung-row font-bold' : 'hover:bg-sheet'}`}
                          aria-pressed={levels[i] === j}
                          onClick={() => {
                            setLevels((old) => criteria.map((_, k) => (k === i ? j : (old[k] ?? null))))
                            setActive(Math.min(i + 1, criteria.length - 1))
                          }}
                        >
                          <Key name={String(j)} />
                          <span className="flex-1">{level.descriptor}</span>
                          <span className="text-sm text-quiet tabular-nums">{marks(rational(level.points))}</span>
                        </button>
                      </li>
                    ))}
                  </ol>
                </section>
              ))}
              {!open ? (
                <section>
                  <h2 className="text-lg">The machine says</h2>
                  <p className="mt-1">
                    <Bar code={barOf(answer.verdict)} /> {answer.verdict}
                    {answer.credit ? `, credit ${answer.credit}` : ''}
                    {answer.byHand ? ' · set by hand' : ''}
                  </p>
                  {answer.readAs ? <p className="text-sm text-quiet">read as “{answer.readAs}”</p> : null}
                  <div className="mt-3 flex flex-wrap gap-2">
                    <Button size="small" hint="1" onClick={() => void override('1')}>
                      Full
                    </Button>
                    <Button size="small" hint="2" onClick={() => void override('1/2')}>
                      Half
                    </Button>
                    <Button size="small" hint="0" onClick={() => void override('0')}>
                      None
                    </Button>
                    {answer.byHand ? (
                      <Button size="small" hint="m" onClick={() => void override(null)}>
                        As the machine
                      </Button>
                    ) : null}
                  </div>
                  {mayChangeKey ? (
                    <Button className="mt-3" hint="o" onClick={() => setKeyOpen({ accept: answer })}>
                      Accept for all who gave it
                    </Button>
                  ) : null}
                </section>
              ) : null}
              <section>
                <label className="font-head text-lg font-semibold" htmlFor="comment">
                  Comment
                </label>
                <textarea
                  id="comment"
                  ref={box}
                  className="field mt-1"
                  rows={3}
                  maxLength={2000}
                  value={comment}
                  onChange={(e) => setComment(e.target.value)}
                  placeholder="c to write, Escape to leave"
                />
                {desk.shelf.length > 0 ? (
                  <ul aria-label="Comment shelf" className="mt-1 text-[15px]">
                    {desk.shelf.map((text, i) => (
                      <li key={text}>
                        <button
                          className="flex items-baseline gap-2 py-0.5 text-left hover:underline"
                          onClick={() => setComment((old) => (old ? `${old} ${text}` : text))}
                        >
                          <Key name={SHELF_KEYS[i] ?? ''} />
                          <span>{text}</span>
                        </button>
                      </li>
                    ))}
                  </ul>
                ) : null}
              </section>
              <p className="flex flex-wrap items-baseline gap-2">
                {open ? (
                  <>
                    <span className="font-head text-3xl font-semibold">
                      {reached === null || possible === 0
                        ? '–'
                        : marks(Math.round(((reached / possible) * worth) / desk.markStep) * desk.markStep)}
                    </span>
                    <span className="text-quiet">of {marks(worth)}</span>
                  </>
                ) : null}
                <span className="flex-1" />
                <Button kind="do" hint="Enter" onClick={() => void keep()}>
                  Keep and next
                </Button>
                <Button hint="z" onClick={() => void undo()}>
                  Undo
                </Button>
              </p>
            </div>
          )
        }
      >
        <div className="mx-auto flex max-w-2xl flex-col gap-4 p-6">
          <details className="text-quiet">
            <summary className="cursor-default">The question</summary>
            <Rich html={item.prompt} className="mt-1 text-ink" />
          </details>
          {answer ? (
            <article className="rung-top rounded border bg-sheet p-6" aria-label="The answer at hand">
              <p className="flex text-sm text-quiet">
                <span className="flex-1">
                  {answer.student}
                  {set && set.answers.length > 1 ? ` · answer ${place + 1} of ${set.answers.length} in this set` : ''}
                </span>
                <span>
                  {open ? answer.readAs : ''}
                  {answer.returned ? ' · returned' : ''}
                  {answer.try > 1 ? ` · try ${answer.try}` : ''}
                </span>
              </p>
              <p className="mt-2 text-lg leading-relaxed whitespace-pre-wrap">{answer.given}</p>
              {done(answer) && open ? (
                <p className="mt-3 border-t pt-2 text-[15px]">
                  <Bar code={barOf(answer.verdict)} /> marked
                </p>
              ) : null}
              {answer.comment ? (
                <p className="mt-2 text-[15px]">
                  <b className="text-blue">Your comment</b> {answer.comment}
                </p>
              ) : null}
            </article>
          ) : (
            <p className="rounded border border-dashed border-edge p-6 text-quiet">
              Nobody has handed in an answer to this question. <Link to="/marking">Back to marking</Link>
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
            <p role="status" className="text-good">
              ✓ All {plural(answers.length, 'answer')} to this question are marked.
            </p>
          ) : null}
        </div>
      </Desk>
      {keyOpen ? <KeyDialog desk={desk} accept={keyOpen.accept} onClose={closeKey} ruleEditor={ruleEditor} /> : null}
      {returning ? (
        <ReturnDialog handoutId={desk.handoutId} title={desk.handout} onClose={() => setReturning(false)} />
      ) : null}
    </>
  )
}
