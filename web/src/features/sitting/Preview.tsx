import { useCallback, useEffect, useState } from 'react'
import { Link } from 'react-router'
import { api, take, type Schemas } from '@/lib/api/client'
import { inManner, RIGHT_AT_ONCE, type Manner } from '@/lib/conditions'
import { placeOf } from '@/media/place'
import { Failed, Loading } from '@/ui/States'
import { sorry } from '@/ui/sorry'
import { Returned } from './Returned'
import { TriedAs } from './TriedAs'
import { SitScreen, type Driver } from './SitScreen'
import { keyOf, type Step, type Value, type Working } from './store'

type Input = Required<Schemas['SittingPreviewInput']>
const START: Input = {
  feedback: RIGHT_AT_ONCE,
  saves: [],
  settled: [],
  hints: [],
  left: 0,
  handedIn: false,
  student: null,
}

const PLACE = placeOf('/api/files', null, null)

/** Sits the draft as a student would, really answering. Nothing is stored. */
export default function Preview({ paperId }: { paperId: string }) {
  const [input, setInput] = useState<Input>(START)
  const [view, setView] = useState<Schemas['SittingSittingView'] | null>(null)
  const [values, setValues] = useState<Map<string, Value>>(new Map())
  const [sure, setSure] = useState<Map<string, number>>(new Map())
  const [workings, setWorkings] = useState<Map<string, Working>>(new Map())
  const [round, setRound] = useState(0)
  const [manner, setManner] = useState<Manner>('one')
  const [error, setError] = useState<unknown>(null)
  const [busy, setBusy] = useState(false)
  const ask = useCallback(
    async (next: Input, anew = false) => {
      setBusy(true)
      try {
        setView(await take(api.POST('/api/papers/{id}/preview', { params: { path: { id: paperId } }, body: next })))
        setInput(next)
        if (!anew) return
        setValues(new Map())
        setSure(new Map())
        setWorkings(new Map())
        setRound((n) => n + 1)
      } catch (thrown) {
        if (next === START) setError(thrown)
        else sorry(thrown)
      } finally {
        setBusy(false)
      }
    },
    [paperId],
  )
  useEffect(() => void ask(START), [ask])
  if (error) return <Failed error={error} />
  if (!view) return <Loading what="Setting the paper out" />
  const back = (
    <Link to={`/papers/${paperId}`} className="font-semibold text-blue underline">
      Back to the paper
    </Link>
  )
  // As somebody else it begins anew: their options may be others.
  const anew = (as: Pick<Input, 'student' | 'feedback'>) => void ask({ ...START, ...as }, true)
  const tried = (
    <TriedAs student={input.student} tells={input.feedback} manner={manner} onManner={setManner} onAnew={anew} />
  )
  if (view.state === 'returned') {
    return (
      <>
        <p className="flex flex-wrap items-center gap-3 border-b bg-rust-pale px-4 py-2">
          Preview: this is what comes back. {back} {tried}
        </p>
        <Returned view={view} onReplied={setView} />
      </>
    )
  }
  const at = (s: Step) => ({ entry: s.entry, try: s.try })
  const saves = (): Input['saves'] =>
    view.steps.flatMap((s) => {
      const key = keyOf(view.id, s.entry, s.try)
      const value = values.get(key)
      return value
        ? [
            {
              ...at(s),
              value,
              counter: 1,
              clientId: 'preview',
              millis: null,
              confidence: sure.get(key) ?? null,
              ...(workings.get(key) ? { working: workings.get(key) } : {}),
            },
          ]
        : []
    })
  const driver: Driver = {
    view: { ...view, ...inManner(manner) },
    values,
    sure,
    line: 'nothing is kept',
    busy,
    media: PLACE,
    answer: (step, value) => setValues((old) => new Map(old).set(keyOf(view.id, step.entry, step.try), value)),
    saySure: (step, level) => setSure((old) => new Map(old).set(keyOf(view.id, step.entry, step.try), level)),
    workings,
    showWorking: (step, working) =>
      setWorkings((old) => new Map(old).set(keyOf(view.id, step.entry, step.try), working)),
    moveTo: () => undefined,
    settle: (step) => ask({ ...input, saves: saves(), settled: [...input.settled, at(step)] }),
    hint: (step) => ask({ ...input, saves: saves(), hints: [...input.hints, at(step)] }),
    goOn: () => ask({ ...input, saves: saves(), left: input.left + 1 }),
    handIn: () => ask({ ...input, saves: saves(), handedIn: true }),
  }
  return (
    <SitScreen
      key={round}
      driver={driver}
      head={
        <span className="flex items-center gap-3">
          {tried}
          {back}
        </span>
      }
    />
  )
}
