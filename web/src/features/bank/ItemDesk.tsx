import { useQuery, useQueryClient } from '@tanstack/react-query'
import { useEffect, useRef, useState } from 'react'
import { useLocation, useNavigate, useParams, useSearchParams } from 'react-router'
import { ask } from '@/lib/queries'
import { api, problemOf, take, type Problem, type Schemas } from '@/lib/api/client'
import { duration, percent, plural, timeOfDay } from '@/lib/format'
import { useKeys } from '@/lib/keys'
import { dropUnsaved, keepUnsaved, unsaved } from '@/lib/unsaved'
import { Button } from '@/ui/Button'
import { Desk, Head } from '@/ui/Desk'
import { Radios } from '@/ui/Radios'
import { FaultLine, Failed, Loading } from '@/ui/States'
import { Tabs } from '@/ui/Tabs'
import { toast } from '@/ui/Toasts'
import { AsStudent, FACES, Printed, type Face } from './Faces'
import { ItemForm } from './ItemForm'
import { ItemSettings } from './ItemSettings'
import { TryBox } from './TryBox'
import type { Item, ItemType } from '@/answers/kinds'
import { answerOf, blankItem, isType, TYPES, typeName } from '@/answers/registry'

/** A question as it stood when its editor was left, and the version it was made from. */
type Unsaved = { item: Item; version: number }

/** The rules that were written for other kinds of the same new question, to come back to. */
type Turned = { rules: Partial<Record<ItemType, { rule: Item['rule'] }>> }

/** What an address without a known type opens. */
const DEFAULT: ItemType = 'choice'

/** Write or change one question of the bank. */
export default function ItemDesk() {
  const { id, type } = useParams()
  const stored = useQuery({
    ...ask.item(id ?? ''),
    enabled: id !== undefined,
    refetchOnWindowFocus: false,
    staleTime: Infinity,
  })
  if (id !== undefined && stored.isPending) return <Loading what="Opening the question" />
  if (id !== undefined && !stored.data) return <Failed error={stored.error} />
  const kind = isType(type) ? type : DEFAULT
  return <Editor key={id ?? `new-${kind}`} id={id ?? null} stored={stored.data ?? null} kind={kind} />
}

function Editor({ id, stored, kind }: { id: string | null; stored: Schemas['BankItemView'] | null; kind: ItemType }) {
  const place = id ?? `new-${kind}`
  const start = stored?.item ?? blankItem(kind)
  const [back, setBack] = useState(() => {
    const kept = unsaved<Unsaved>(place)
    return kept?.item?.type === start.type ? kept : null
  })
  const [item, setItem] = useState<Item>(back?.item ?? start)
  // Turned into another kind on this very desk: nothing has come back, it is still there, and so is each kind's key.
  const turned = useLocation().state as Turned | null
  const [version, setVersion] = useState(back?.version ?? stored?.version ?? 0)
  const [defects, setDefects] = useState(stored?.defects ?? [])
  const [problem, setProblem] = useState<Problem | null>(null)
  const [saved, setSaved] = useState<'clean' | 'dirty' | 'saving'>(back ? 'dirty' : 'clean')
  const [savedAt, setSavedAt] = useState<Date | null>(null)
  const [params] = useSearchParams()
  const forPaper = id === null ? params.get('paper') : null
  const navigate = useNavigate()
  const client = useQueryClient()
  const latest = useRef(item)
  const change = (next: Item) => {
    latest.current = next
    setItem(next)
    setSaved('dirty')
    keepUnsaved(place, { item: next, version })
  }
  // Somebody else's newer version is taken up, and one's own stays at hand.
  const [mine, setMine] = useState<Item | null>(null)
  const [theirs, setTheirs] = useState('')
  const takeNewer = async () => {
    if (id === null) return
    try {
      const newer = await take(api.GET('/api/items/{id}', { params: { path: { id } } }))
      setMine(latest.current)
      setTheirs(newer.updatedBy)
      keepUnsaved(place, { item: latest.current, version: newer.version })
      latest.current = newer.item
      setItem(newer.item)
      setVersion(newer.version)
      setDefects(newer.defects)
      setProblem(null)
      setBack(null)
      setSaved('clean')
    } catch (thrown) {
      setProblem(problemOf(thrown))
    }
  }
  const putMineBack = () => {
    if (!mine) return
    setMine(null)
    change(mine)
  }
  const startAgain = () => {
    dropUnsaved(place)
    latest.current = start
    setItem(start)
    setVersion(stored?.version ?? 0)
    setBack(null)
    setProblem(null)
    setSaved('clean')
  }
  const turnInto = (next: ItemType) => {
    const { title, prompt, points, skill, hint, explanation, confidence } = latest.current
    keepUnsaved(`new-${next}`, {
      item: { ...blankItem(next), ...turned?.rules[next], title, prompt, points, skill, hint, explanation, confidence },
      version: 0,
    })
    dropUnsaved(place)
    const state: Turned = { rules: { ...turned?.rules, [latest.current.type]: { rule: latest.current.rule } } }
    void navigate(`/bank/new/${next}?${params}`, { replace: true, state })
  }
  const [face, setFace] = useState<Face>('write')
  const underWay = useRef(false)
  const save = async () => {
    // The key may come twice before the first answer does.
    if (underWay.current) return
    underWay.current = true
    const sent = latest.current
    setSaved('saving')
    setProblem(null)
    try {
      const answer = await take(
        id === null
          ? api.POST('/api/items', { body: { item: sent, version: 0 } })
          : api.PUT('/api/items/{id}', { params: { path: { id } }, body: { item: sent, version } }),
      )
      setVersion(answer.version)
      setDefects(answer.defects)
      setSavedAt(new Date())
      setBack(null)
      setSaved(latest.current === sent ? 'clean' : 'dirty')
      if (latest.current === sent) dropUnsaved(place)
      else keepUnsaved(place, { item: latest.current, version: answer.version })
      client.removeQueries({ queryKey: ['item', answer.id] })
      void client.invalidateQueries({ queryKey: ['items'] })
      void client.invalidateQueries({ queryKey: ['terms'] })
      void client.invalidateQueries({ queryKey: ['paper'] })
      if (forPaper) void navigate(`/papers/${forPaper}?take=${answer.id}&at=${params.get('at') ?? ''}`)
      else if (id === null) void navigate(`/bank/${answer.id}`, { replace: true })
    } catch (thrown) {
      setProblem(problemOf(thrown))
      setSaved('dirty')
    } finally {
      underWay.current = false
    }
  }
  useEffect(() => {
    if (saved !== 'dirty') return
    const warn = (event: BeforeUnloadEvent) => event.preventDefault()
    window.addEventListener('beforeunload', warn)
    return () => window.removeEventListener('beforeunload', warn)
  }, [saved])
  useKeys({
    'Ctrl+s': { label: 'Save the question', run: () => void save(), inFields: true },
    F2: {
      label: 'Write, as a student, on paper',
      run: () => setFace(FACES[(FACES.findIndex((f) => f.value === face) + 1) % FACES.length]?.value ?? 'write'),
      inFields: true,
    },
    Escape: { label: 'Back to the bank', run: () => saved === 'clean' && void navigate('/bank') },
  })
  const archive = async () => {
    if (!id) return
    await take(api.DELETE('/api/items/{id}', { params: { path: { id } } }))
    void client.invalidateQueries({ queryKey: ['items'] })
    toast('Taken out of the bank’s list. Papers keep it.', {
      undo: () =>
        void take(api.POST('/api/items/{id}/restore', { params: { path: { id } } })).then(() =>
          client.invalidateQueries({ queryKey: ['items'] }),
        ),
    })
    void navigate('/bank')
  }
  return (
    <>
      <Head
        title={item.title || `New ${typeName(item.type)} question`}
        note={
          saved === 'saving'
            ? 'saving …'
            : saved === 'dirty'
              ? 'not saved yet'
              : savedAt
                ? `saved ${timeOfDay(savedAt)}`
                : stored
                  ? `${typeName(item.type)} · version ${version} · last by ${stored.updatedBy}`
                  : ''
        }
      >
        {id ? <Button onClick={() => void archive()}>Archive</Button> : null}
        <Button onClick={() => void navigate(forPaper ? `/papers/${forPaper}` : '/bank')}>
          {forPaper ? 'Back to the paper' : 'Back to bank'}
        </Button>
        <Button
          kind="do"
          disabled={saved === 'saving' || (saved === 'clean' && id !== null)}
          onClick={() => void save()}
        >
          {forPaper ? 'Save into the paper' : 'Save question'}
        </Button>
      </Head>
      <Desk
        slim
        leftLabel="The answer"
        left={
          id === null ? (
            <Radios label="The answer is" value={item.type} onChange={turnInto} options={KINDS} />
          ) : (
            <div className="flex flex-col gap-4 text-[15px]">
              <p>
                <span className="block text-sm font-semibold">The answer is</span>
                {answerOf(item.type)}
              </p>
              {stored ? <Standing stored={stored} /> : null}
            </div>
          )
        }
        rightLabel="Try-out and defects"
        right={
          <div className="flex flex-col gap-6">
            <ItemSettings item={item} onChange={change} faults={problem?.fields} />
            <TryBox item={item} />
            <section>
              <h2 className="text-lg">Defects</h2>
              {defects.length === 0 ? (
                <p className="text-quiet">{id ? 'None found at the last save.' : 'Looked for at each save.'}</p>
              ) : null}
              <ul className="mt-1 flex flex-col gap-1">
                {defects.map((d) => (
                  <li key={d.message} className={d.blocks ? 'font-semibold text-bad' : 'text-quiet'}>
                    {d.blocks ? '✕ ' : '○ '}
                    {d.message}
                  </li>
                ))}
              </ul>
            </section>
          </div>
        }
      >
        <div className="mx-auto max-w-3xl p-6">
          <FaultLine error={problem} />
          {problem?.status === 409 && id ? (
            <Button size="small" onClick={() => void takeNewer()}>
              Open the newer one
            </Button>
          ) : null}
          {mine ? (
            <p role="status" className="mb-3 flex flex-wrap items-center gap-3">
              This is the newer version, by {theirs}. Yours is kept beside it.
              <Button size="small" onClick={putMineBack}>
                Put yours back
              </Button>
            </p>
          ) : null}
          {back && !turned ? (
            <p role="status" className="mb-3 flex flex-wrap items-center gap-3">
              What you had not saved is back.
              <Button size="small" onClick={startAgain}>
                {id ? 'Take the saved one instead' : 'Start with an empty one'}
              </Button>
            </p>
          ) : null}
          <Tabs label="How it is shown" look="segments" tabs={FACES} value={face} onChange={setFace}>
            <div className="rung-top mt-3 rounded border bg-sheet px-7 py-6">
              {face === 'write' ? (
                <ItemForm item={item} onChange={change} faults={problem?.fields} />
              ) : face === 'student' ? (
                <AsStudent item={item} />
              ) : (
                <Printed item={item} />
              )}
            </div>
          </Tabs>
        </div>
      </Desk>
    </>
  )
}

const KINDS = TYPES.map((t) => ({ value: t.id, label: t.answer }))

/** Where a question stands, and what it has shown so far. */
function Standing({ stored }: { stored: Schemas['BankItemView'] }) {
  const { record, papers } = stored
  return (
    <>
      <section>
        <h2 className="text-sm font-semibold">Stands in</h2>
        <p>{papers.length > 0 ? `${papers.join(', ')}. Published editions stay as they are.` : 'No paper yet.'}</p>
      </section>
      <section>
        <h2 className="text-sm font-semibold">So far</h2>
        {record.students === 0 ? (
          <p className="text-quiet">Nobody has handed this in yet.</p>
        ) : (
          <p>
            {record.facility === null ? '' : `${percent(record.facility)} right of `}
            {plural(record.students, 'student')} in {plural(record.handouts, 'handout')}
            {record.seconds === null ? '' : `, half within ${duration(record.seconds)}`}.
          </p>
        )}
      </section>
    </>
  )
}
