import { useQueryClient } from '@tanstack/react-query'
import { useEffect, useMemo, useRef, useState } from 'react'
import { kindOf } from '@/answers/registry'
import { api, problemOf, take, type Schemas } from '@/lib/api/client'
import { useKeys, type Acts } from '@/lib/keys'
import { Again, mayBeSentAgain } from '@/lib/drafts/again'
import { dropUnsaved, keepUnsaved, unsaved } from '@/lib/drafts/device'
import { say } from '@/lib/say'
import { toast } from '@/ui/toast'
import { done, inSets, nameOf, nextWaiting, type Answer } from './order'

export const SHELF_KEYS = ['a', 's', 'd', 'f', 'g', 'h']

/** A mark as it is sent. */
type Given = { levels?: (number | null)[] | null; credit?: string | null; comment: string }

/** What is being given to one answer. */
type Draft = { levels: (number | null)[]; comment: string }

/**
 * The state of a marking desk and its acts: which answer is at hand, the levels and comment being given, keeping,
 * overriding, taking back. Each act has its key.
 *
 * onAccept: what accepting an answer for all does; null where the reader may not change keys.
 */
export function useMarking(desk: Schemas['MarkingDeskView'], onAccept: ((answer: Answer) => void) | null) {
  const client = useQueryClient()
  const [answers, setAnswers] = useState(desk.answers)
  useEffect(() => setAnswers(desk.answers), [desk.answers])
  const order = useMemo(() => inSets(desk.sets), [desk.sets])
  const [hand, setHand] = useState(() => {
    const first =
      desk.answers[order.find((place) => desk.answers[place] && !done(desk.answers[place])) ?? order[0] ?? -1]
    return first ? nameOf(first) : ''
  })
  const at = answers.findIndex((a) => nameOf(a) === hand)
  const setAt = (place: number) => {
    const next = answers[place]
    if (next) setHand(nameOf(next))
  }
  const [active, setActive] = useState(0)
  const trail = useRef<Answer[]>([])
  const box = useRef<HTMLTextAreaElement>(null)
  const answer = answers[at]
  const item = desk.item
  const kind = kindOf(item.type)
  const criteria = kind.criteria(item.rule)
  const open = kind.byHand

  // What is typed stays with its answer until it is kept, through a refusal, a lost network and a reload.
  const draftPlace = (name: string) => `mark.${desk.entry}.${name}${desk.second ? '.second' : ''}`
  const draftOf = (one: Answer | undefined): Draft =>
    (one && unsaved<Draft>(draftPlace(nameOf(one)))) ?? {
      levels: one?.levels ?? criteria.map(() => null),
      comment: one?.comment ?? '',
    }
  const [draft, setDraft] = useState<Draft>(() => draftOf(answer))
  const { levels, comment } = draft
  const [unkept, setUnkept] = useState(
    () => new Set(answers.map(nameOf).filter((name) => unsaved(draftPlace(name)) !== null)),
  )
  // Keys come faster than the screen is drawn anew.
  const latest = useRef(draft)
  const lay = (next: Draft) => {
    latest.current = next
    setDraft(next)
  }
  const write = (change: (old: Draft) => Draft) => {
    lay(change(latest.current))
    keepUnsaved(draftPlace(hand), latest.current)
    setUnkept((old) => (old.has(hand) ? old : new Set(old).add(hand)))
  }
  const setLevels = (change: (old: (number | null)[]) => (number | null)[]) =>
    write((old) => ({ ...old, levels: change(old.levels) }))
  const setComment = (change: string | ((old: string) => string)) =>
    write((old) => ({ ...old, comment: typeof change === 'string' ? change : change(old.comment) }))
  useEffect(() => {
    lay(draftOf(answer))
    setActive(0)
    // Another answer on the desk; the criteria belong to the question and do not change.
    // eslint-disable-next-line react-hooks/exhaustive-deps
  }, [hand])

  // Marks that did not reach the server: on the device until they have, sent again by themselves.
  const outPlace = `marks.${desk.handoutId}.${desk.entry}${desk.second ? '.second' : ''}`
  const out = useRef<Record<string, Given>>(unsaved(outPlace) ?? {})
  const [unsent, setUnsent] = useState(() => Object.keys(out.current).length)
  const again = useRef<Again | null>(null)
  const hold = (name: string, given: Given | null) => {
    if (given) out.current[name] = given
    else delete out.current[name]
    const left = Object.keys(out.current).length
    if (left > 0) keepUnsaved(outPlace, out.current)
    else dropUnsaved(outPlace)
    setUnsent(left)
  }
  const resend = async () => {
    for (const [name, given] of Object.entries(out.current)) {
      const one = known.current.find((a) => nameOf(a) === name)
      if (!one) hold(name, null)
      else if (!(await put(one, given)) && out.current[name]) return
    }
  }
  const known = useRef(answers)
  const resending = useRef(resend)
  useEffect(() => {
    known.current = answers
    resending.current = resend
  })
  useEffect(() => {
    const tries = new Again(() => void resending.current())
    again.current = tries
    if (Object.keys(out.current).length > 0) tries.after(0)
    return () => tries.stop()
  }, [])

  const put = async (before: Answer, change: Given) => {
    const name = nameOf(before)
    const become = (next: Partial<Answer> | ((old: Answer) => Partial<Answer>)) => {
      hold(name, null)
      again.current?.went()
      dropUnsaved(draftPlace(name))
      setUnkept((old) => new Set([...old].filter((one) => one !== name)))
      setAnswers((old) =>
        old.map((a) => (nameOf(a) === name ? { ...a, ...(typeof next === 'function' ? next(a) : next) } : a)),
      )
    }
    try {
      if (desk.second) {
        const given = (change.levels ?? []).filter((l) => l !== null)
        await take(
          api.PUT('/api/second-marks', {
            body: { sittingId: before.sittingId, entry: desk.entry, try: before.try, levels: given },
          }),
        )
        become({ levels: given, byHand: true })
        say(`${before.student} is marked.`)
        return true
      }
      const { event, ...mark } = await take(
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
      become((old) => ({ ...mark, history: [event, ...old.history] }))
      say(`${before.student} is marked.`)
      void client.invalidateQueries({ queryKey: ['marking'] })
      return true
    } catch (thrown) {
      const problem = problemOf(thrown)
      if (mayBeSentAgain(problem)) {
        if (!out.current[name]) toast(`${before.student}: not sent yet. It is sent again by itself.`, { bad: true })
        hold(name, change)
        again.current?.later()
        return false
      }
      hold(name, null)
      toast(`${before.student}: ${problem.message} ${problem.detail}`, { bad: true })
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
  /** Keeps what is given to an answer; what was refused cannot be taken back. */
  const give = async (one: Answer, change: Given) => {
    trail.current.push(one)
    if (!(await put(one, change))) trail.current = trail.current.filter((kept) => kept !== one)
  }
  const keep = async () => {
    if (!answer) return
    if (open && levels.some((l) => l === null)) {
      setActive(levels.findIndex((l) => l === null))
      toast(`Pick a level for "${criteria[levels.findIndex((l) => l === null)]?.name ?? ''}" first.`, { bad: true })
      return
    }
    const going = give(answer, open ? latest.current : { credit: answer.byHand ? answer.credit : null, comment })
    next()
    await going
  }
  const override = async (credit: string | null) => {
    if (!answer) return
    await give(answer, { credit, comment })
  }
  const undo = async () => {
    const before = trail.current.pop()
    const now = before && answers.find((a) => nameOf(a) === nameOf(before))
    if (!before || !now) return
    setHand(nameOf(before))
    // A second mark is kept or changed; there is no taking it back to none.
    if (desk.second && !before.byHand) return
    const back = { levels: before.levels, comment: before.comment }
    if (await put(now, { ...back, credit: open || !before.byHand ? null : before.credit })) {
      lay({ ...back, levels: back.levels ?? criteria.map(() => null) })
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
    ...(desk.second ? {} : { c: { label: 'Write a comment', run: () => box.current?.focus() } }),
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
    if (onAccept && (answer?.byHand || answer?.verdict !== 'right'))
      acts.o = { label: 'Accept this answer for all who gave it', run: () => answer && onAccept(answer) }
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

  return {
    answers,
    answer,
    at,
    setAt,
    order,
    unkept,
    unsent,
    open,
    criteria,
    levels,
    setLevels,
    active,
    setActive,
    comment,
    setComment,
    box,
    keep,
    override,
    undo,
  }
}

export type Marking = ReturnType<typeof useMarking>
