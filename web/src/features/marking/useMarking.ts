import { useQueryClient } from '@tanstack/react-query'
import { useEffect, useMemo, useRef, useState } from 'react'
import { api, problemOf, take, type Schemas } from '@/lib/api/client'
import { useKeys, type Acts } from '@/lib/keys'
import { toast } from '@/ui/Toasts'
import { done, inSets, nextWaiting, type Answer } from './order'

export const SHELF_KEYS = ['a', 's', 'd', 'f', 'g', 'h']

/**
 * The state of a marking desk and its acts: which answer is at hand, the levels and comment being given, keeping,
 * overriding, taking back. Each act has its key.
 *
 * onAccept: what accepting an answer for all does; null where the reader may not change keys.
 */
export function useMarking(desk: Schemas['MarkingDeskView'], onAccept: ((answer: Answer) => void) | null) {
  const client = useQueryClient()
  const [answers, setAnswers] = useState(desk.answers)
  const order = useMemo(() => inSets(desk.sets), [desk.sets])
  const [at, setAt] = useState(
    () => order.find((place) => desk.answers[place] && !done(desk.answers[place])) ?? order[0] ?? -1,
  )
  const [levels, setLevels] = useState<(number | null)[]>([])
  const [active, setActive] = useState(0)
  const [comment, setComment] = useState('')
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
      if (desk.second) {
        const given = (change.levels ?? []).filter((l) => l !== null)
        await take(
          api.PUT('/api/second-marks', {
            body: { sittingId: before.sittingId, entry: desk.entry, try: before.try, levels: given },
          }),
        )
        setAnswers((old) => old.map((a, i) => (i === place ? { ...a, levels: given, byHand: true } : a)))
        return true
      }
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
    // A second mark is kept or changed; there is no taking it back to none.
    if (desk.second && !last.before.byHand) {
      setAt(last.place)
      return
    }
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
    if (onAccept) acts.o = { label: 'Accept this answer for all who gave it', run: () => answer && onAccept(answer) }
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
