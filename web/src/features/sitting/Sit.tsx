import { useQueryClient } from '@tanstack/react-query'
import { lazy, Suspense, useEffect, useMemo, useRef, useState } from 'react'
import { Link, useParams } from 'react-router'
import { api, Problem, problemOf, take, type Schemas } from '@/lib/api/client'
import { timeOfDay } from '@/lib/format'
import { useLive, type ToStudents } from '@/lib/live'
import { useSessionEnded } from '@/lib/session'
import { placeOf, MediaProvider } from '@/media/place'
import { later } from '@/ui/later'
import { Failed, Loading } from '@/ui/States'
import { toast } from '@/ui/toast'
import { Keeper, wordsOf, type Line } from './keeper'
import { transportOf } from './leftBehind'
import { SitScreen, type Driver } from './SitScreen'
import { Stopwatch } from './stopwatch'
import { ToJoin } from './ToJoin'
import { deviceStore, keyOf, type Step, type Value, type Working } from './store'

// Seldom needed, and not before the first question is.
const Returned = later(
  () => import('./Returned').then((it) => it.Returned),
  () => <Loading what="Opening your work" />,
)
const FullScreen = later(() => import('./atWork').then((it) => it.FullScreen))
const Helping = later(() => import('./atWork').then((it) => it.Helping))
const JoinAgain = lazy(() => import('./JoinAgain'))

type View = Schemas['SittingSittingView']

/** A student's own sitting: goes on where it was, on whatever device. */
export default function Sit() {
  const { id = '' } = useParams()
  const client = useQueryClient()
  const ended = useSessionEnded()
  const [view, setView] = useState<View | null>(null)
  const [values, setValues] = useState<Map<string, Value>>(new Map())
  const [sure, setSure] = useState<Map<string, number>>(new Map())
  const [workings, setWorkings] = useState<Map<string, Working>>(new Map())
  const [line, setLine] = useState<Line>({ kind: 'kept', at: null })
  const [error, setError] = useState<unknown>(null)
  const [busy, setBusy] = useState(false)
  const keeper = useRef<Keeper | null>(null)
  const watch = useRef(new Stopwatch())
  const path = useMemo(() => ({ params: { path: { id } } }), [id])
  const media = useMemo(() => placeOf('/api/me/files', `/api/me/sittings/${id}/uploads`, id), [id])

  useEffect(() => {
    let over = false
    const k = new Keeper(id, deviceStore(), transportOf(id), setLine)
    keeper.current = k
    take(api.GET('/api/me/sittings/{id}', path))
      .then(async (first) => {
        const known = [...(await k.begin(first.steps))]
        if (over) return
        for (const [key, kept] of known) watch.current.begin(key, kept.millis ?? 0)
        setValues(new Map(known.map(([key, kept]) => [key, kept.value])))
        setSure(new Map(known.flatMap(([key, kept]) => (kept.confidence ? [[key, kept.confidence] as const] : []))))
        setWorkings(new Map(known.flatMap(([key, kept]) => (kept.working ? [[key, kept.working] as const] : []))))
        setView(first)
      })
      .catch((thrown: unknown) => !over && setError(thrown))
    const leaving = () => {
      if (document.visibilityState === 'hidden') {
        watch.current.pause()
        void k.flush()
      } else watch.current.resume()
    }
    document.addEventListener('visibilitychange', leaving)
    return () => {
      over = true
      k.stop()
      document.removeEventListener('visibilitychange', leaving)
    }
  }, [id, path])

  const look = async () => {
    await keeper.current?.flush()
    const next = await take(api.GET('/api/me/sittings/{id}', path))
    // What a teacher has put in the place of an answer stands there, unless something newer has been entered.
    const corrected = next.steps.flatMap(({ entry, try: nth, value, corrected: why }) =>
      why !== null && value && keeper.current?.corrected(entry, nth, value)
        ? [[keyOf(id, entry, nth), value] as const]
        : [],
    )
    if (corrected.length > 0) setValues((old) => new Map([...old, ...corrected]))
    setView(next)
    return next.live
  }
  const hear = (message: ToStudents) => {
    // Two students talk; everybody else's device has nothing to look for.
    if (message.kind === 'help' && !message.to.includes(id)) return
    const held = message.kind === 'hold' ? message.words : message.kind === 'release' ? null : undefined
    if (held === undefined) return void look().catch(() => undefined)
    setView((old) => old && (old.state === 'open' ? { ...old, hold: held, secondsLeft: null } : old))
  }
  const helped = useRef(false)
  const talks = view?.help?.state === 'on'
  useEffect(() => {
    if (helped.current && !talks) toast('The help is over. You can go on by yourself, or ask your teacher.')
    helped.current = talks
  }, [talks])
  useLive<ToStudents>(view ? `/api/me/sittings/${id}/live` : null, hear, look)

  if (error instanceof Problem && error.status === 401) return <ToJoin />
  if (error) return <Failed error={error} retry={() => location.reload()} />
  if (!view) return <Loading what="Opening your work" />
  const help = view.help ? <Helping view={view} help={view.help} onSeen={setView} /> : null
  if (view.state !== 'open')
    return (
      <MediaProvider value={media}>
        <Returned view={view} onReplied={setView} />
        {help ? <div className="sticky bottom-0">{help}</div> : null}
      </MediaProvider>
    )

  const act = async (work: () => Promise<View>) => {
    setBusy(true)
    try {
      if (!(await keeper.current?.flush())) {
        toast('The server cannot be reached. Your answers are kept on this device; try again in a moment.', {
          bad: true,
        })
        return
      }
      setView(await work())
      void client.invalidateQueries({ queryKey: ['work'] })
    } catch (thrown) {
      const problem = problemOf(thrown)
      toast(`${problem.message} ${problem.detail}`, { bad: true })
    } finally {
      setBusy(false)
    }
  }
  // Answers are kept by themselves; a file that has not arrived belongs to no answer yet.
  const handIn = async (visit: number) => {
    const { someAreNotSent } = await import('./notSent')
    if (await someAreNotSent(id)) return
    await act(() => take(api.POST('/api/me/sittings/{id}/hand-in', { ...path, body: { visit } })))
  }
  const driver: Driver = {
    view,
    values,
    sure,
    line: wordsOf(line, timeOfDay),
    busy,
    media,
    answer: (step: Step, value: Value) => {
      const key = keyOf(id, step.entry, step.try)
      setValues((old) => new Map(old).set(key, value))
      void keeper.current?.answer(step.entry, step.try, value, watch.current.of(key))
    },
    saySure: (step: Step, level: number) => {
      const key = keyOf(id, step.entry, step.try)
      setSure((old) => new Map(old).set(key, level))
      void keeper.current?.sure(step.entry, step.try, level, watch.current.of(key))
    },
    workings,
    showWorking: (step, working) => {
      const key = keyOf(id, step.entry, step.try)
      setWorkings((old) => new Map(old).set(key, working))
      void keeper.current?.shows(step.entry, step.try, working, watch.current.of(key))
    },
    moveTo: (step) => {
      watch.current.show(step && keyOf(id, step.entry, step.try))
      if (step) keeper.current?.moveTo(step.entry)
    },
    settle: (step) =>
      act(() =>
        take(api.POST('/api/me/sittings/{id}/settle', { ...path, body: { entry: step.entry, try: step.try } })),
      ),
    hint: (step) =>
      act(() =>
        take(
          api.POST('/api/me/sittings/{id}/hint', {
            ...path,
            // Which one is said, so that asking twice opens, and costs, no second one.
            body: { entry: step.entry, try: step.try, nth: step.hints.length + 1 },
          }),
        ),
      ),
    goOn: () => act(() => take(api.POST('/api/me/sittings/{id}/go-on', { ...path, body: { visit: view.visit } }))),
    handIn: () => handIn(view.visit),
    call: (step, asked) => act(async () => (await import('./atWork')).call(id, step.entry, asked)),
  }
  return (
    <>
      {view.fullScreen ? <FullScreen sitting={id} /> : null}
      <SitScreen
        driver={driver}
        help={help}
        head={
          <Link to="/my" className="text-blue underline">
            My work
          </Link>
        }
      />
      {ended ? (
        <Suspense>
          <JoinAgain />
        </Suspense>
      ) : null}
    </>
  )
}
