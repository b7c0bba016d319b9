import { useQuery, useQueryClient } from '@tanstack/react-query'
import { lazy, Suspense, useCallback, useEffect, useMemo, useState } from 'react'
import { useLocation, useNavigate, useParams, useSearchParams } from 'react-router'
import { ask } from '@/lib/queries'
import { api, take, type Schemas } from '@/lib/api/client'
import { Draft, keepDraft } from '@/lib/drafts/draft'
import { useDraft } from '@/lib/drafts/useDraft'
import { duration, percent, plural, timeOfDay } from '@/lib/format'
import { useKeys } from '@/lib/keys'
import { useSaid } from '@/lib/say'
import { useSettled } from '@/lib/settled'
import { dropUnsaved } from '@/lib/drafts/device'
import { TextPictures } from '@/media/TextPictures'
import { Apart } from '@/ui/Apart'
import { Button } from '@/ui/Button'
import { Desk, Head } from '@/ui/Desk'
import { Radios } from '@/ui/Radios'
import { FaultLine, Failed, Loading } from '@/ui/States'
import { Tabs } from '@/ui/Tabs'
import type { About } from '@/ui/Talk'
import { toast } from '@/ui/toast'
import { ToRecord } from './ToRecord'
import { FACES, OtherFace, type Attempt, type Face } from './Faces'
import { filledText, fitDraw } from './filled'
import { ItemForm } from './ItemForm'
import { ItemSettings } from './ItemSettings'
import { OwnNumbers } from './OwnNumbers'
import { patched } from './patched'
import { partsOf } from './remarkParts'
import { TryBox } from './TryBox'
import { TryMany } from './TryMany'
import { useDraws } from './useDraws'
import type { Item, ItemType } from '@/answers/kinds'
import { DrawnBy } from '@/answers/parts/InDraw'
import { NamesOf } from '@/answers/parts/Names'
import { answerOf, blankItem, isType, TYPES, typeName } from '@/answers/registry'

const Talk = lazy(() => import('@/ui/Talk').then((it) => ({ default: it.Talk })))
// Fetched by whoever looks back.
const HistoryDialog = lazy(() => import('./HistoryDialog').then((it) => ({ default: it.HistoryDialog })))

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
  const navigate = useNavigate()
  const client = useQueryClient()
  const [params] = useSearchParams()
  const forPaper = id === null ? params.get('paper') : null
  const [defects, setDefects] = useState(stored?.defects ?? [])
  const draft = useDraft(
    () =>
      new Draft<Item>({
        place,
        stored: { value: start, version: stored?.version ?? 0 },
        send: async (item, version) => {
          const answer = await take(
            id === null
              ? api.POST('/api/items', { body: { item, version } })
              : api.PUT('/api/items/{id}', { params: { path: { id } }, body: { item, version } }),
          )
          setDefects(answer.defects)
          setMade(answer.id)
          client.removeQueries({ queryKey: ['item', answer.id] })
          void client.invalidateQueries({ queryKey: ['items'] })
          void client.invalidateQueries({ queryKey: ['terms'] })
          void client.invalidateQueries({ queryKey: ['paper'] })
          return { value: answer.item, version: answer.version }
        },
        newest:
          id === null
            ? null
            : async () => {
                const newer = await take(api.GET('/api/items/{id}', { params: { path: { id } } }))
                return { value: newer.item, version: newer.version }
              },
        // A question is used in papers as soon as it is saved, so its writer says when.
        byItself: false,
        fits: (kept) => kept.type === start.type,
        onMerged: () => toast('What was changed meanwhile is in this question too.'),
      }),
  )
  const item = draft.value
  // What is tried follows once the hand rests: a key draws anew what it changes, and no more.
  const tried = useSettled(item)
  const about = useMemo<About | null>(() => (id ? { on: 'items', id, parts: partsOf(tried) } : null), [id, tried])
  const { line } = draft
  const [back, setBack] = useState(draft.back)
  const problem = line.kind === 'failed' ? line.problem : null
  // Turned into another kind on this very desk: nothing has come back, it is still there, and so is each kind's key.
  const turned = useLocation().state as Turned | null
  const change = useCallback((next: Item) => draft.change(next), [draft])
  const patch = useCallback((part: Partial<Item>) => draft.change(patched(draft.value, part)), [draft])
  const startAgain = () => {
    draft.restart({ value: start, version: stored?.version ?? 0 })
    setBack(false)
  }
  const turnInto = (next: ItemType) => {
    const {
      title,
      prompt,
      points,
      skill,
      hint,
      hints,
      goBack,
      explanation,
      confidence,
      working,
      variables,
      constraints,
      decimals,
    } = draft.value
    keepDraft(`new-${next}`, blankItem(next), {
      ...blankItem(next),
      ...turned?.rules[next],
      title,
      prompt,
      points,
      skill,
      hint,
      ...(hints ? { hints } : {}),
      ...(goBack ? { goBack } : {}),
      explanation,
      confidence,
      ...(working ? { working } : {}),
      ...(variables ? { variables, constraints, decimals } : {}),
    } as Item)
    dropUnsaved(place)
    const state: Turned = { rules: { ...turned?.rules, [draft.value.type]: { rule: draft.value.rule } } }
    void navigate(`/bank/new/${next}?${params}`, { replace: true, state })
  }
  const [face, setFace] = useState<Face>('write')
  const [attempt, setAttempt] = useState<Attempt>({ at: 0, value: null })
  const draws = useDraws(item)
  const shown = (item.variables ?? []).length > 0 ? fitDraw(draws.view?.draws ?? []) : undefined
  const inDraw = useMemo(() => (shown ? (text: string) => filledText(text, shown) : null), [shown])
  const [made, setMade] = useState<string | null>(null)
  const [looking, setLooking] = useState(false)
  const copy = async (of: string) => {
    const { text } = await take(api.GET('/api/items/{id}/notes', { params: { path: { id: of } } }))
    await navigator.clipboard.writeText(text)
    toast('Copied as notes, as it was last saved. Paste it where many questions are typed in.')
  }
  const save = async () => {
    if (!(await draft.flush(id === null && made === null))) return
    setBack(false)
  }
  // Where a new question goes once it is one.
  useEffect(() => {
    if (made === null || id !== null) return
    void navigate(
      forPaper ? `/papers/${forPaper}?take=${made}&at=${params.get('at') ?? ''}` : `/bank/${made}`,
      forPaper ? undefined : { replace: true },
    )
  }, [made, id, forPaper, params, navigate])
  useSaid(line.kind === 'saved' && line.at ? 'The question is saved.' : '')
  useKeys({
    'Ctrl+s': { label: 'Save the question', run: () => void save(), inFields: true },
    F2: {
      label: 'Write, as a student, marked, on paper',
      run: () => setFace(FACES[(FACES.findIndex((f) => f.value === face) + 1) % FACES.length]?.value ?? 'write'),
      inFields: true,
    },
    Escape: { label: 'Back to the bank', run: () => line.kind === 'saved' && void navigate('/bank') },
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
    <NamesOf variables={item.variables}>
      <Head
        title={item.title || `New ${typeName(item.type)} question`}
        note={
          line.kind === 'saving'
            ? 'saving …'
            : line.kind !== 'saved'
              ? 'not saved yet'
              : line.at
                ? `saved ${timeOfDay(line.at)}`
                : stored
                  ? `${typeName(item.type)} · version ${draft.version} · last by ${stored.updatedBy}`
                  : ''
        }
      >
        {id ? <Button onClick={() => void copy(id)}>Copy as notes</Button> : null}
        {id ? <Button onClick={() => void archive()}>Archive</Button> : null}
        <Button onClick={() => void navigate(forPaper ? `/papers/${forPaper}` : '/bank')}>
          {forPaper ? 'Back to the paper' : 'Back to bank'}
        </Button>
        <Button
          kind="do"
          disabled={line.kind === 'saving' || (line.kind === 'saved' && id !== null)}
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
              {draft.version > 1 ? (
                <Button size="small" className="self-start" onClick={() => setLooking(true)}>
                  Earlier versions
                </Button>
              ) : null}
            </div>
          )
        }
        rightLabel="Try-out and defects"
        right={
          <div className="flex flex-col gap-6">
            <ItemSettings
              title={item.title}
              skill={item.skill}
              confidence={item.confidence}
              working={item.working}
              onChange={patch}
              faults={problem?.fields}
            />
            <OwnNumbers
              variables={item.variables}
              constraints={item.constraints}
              decimals={item.decimals}
              draws={draws}
              onChange={patch}
            />
            {about ? (
              <Suspense>
                <Talk about={about} />
              </Suspense>
            ) : null}
            <TryBox item={tried} />
            <TryMany item={tried} />
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
          {line.kind === 'apart' ? <Apart draft={draft} line={line} /> : null}
          {back && !turned ? (
            <p className="mb-3 flex flex-wrap items-center gap-3">
              What you had not saved is back.
              <Button size="small" onClick={startAgain}>
                {id ? 'Take the saved one instead' : 'Start with an empty one'}
              </Button>
            </p>
          ) : null}
          <Tabs label="How it is shown" look="segments" tabs={FACES} value={face} onChange={setFace}>
            <div className="rung-top mt-3 rounded border bg-sheet px-7 py-6">
              {face === 'write' ? (
                <DrawnBy value={inDraw}>
                  <TextPictures>
                    <ItemForm item={item} onChange={change} faults={problem?.fields} />
                  </TextPictures>
                </DrawnBy>
              ) : (
                <OtherFace face={face} onFace={setFace} item={item} attempt={attempt} onAttempt={setAttempt} />
              )}
            </div>
          </Tabs>
        </div>
      </Desk>
      {looking && id ? (
        <Suspense>
          <HistoryDialog
            id={id}
            now={item}
            onTake={(before, version) => {
              change(before)
              setLooking(false)
              toast(`Version ${version} stands on the desk. Save it to keep it.`, { undo: () => change(item) })
            }}
            onClose={() => setLooking(false)}
          />
        </Suspense>
      ) : null}
    </NamesOf>
  )
}

const KINDS = TYPES.map((t) => ({ value: t.id, label: t.answer }))

/** Where a question stands, and what it has shown so far. */
function Standing({ stored }: { stored: Schemas['BankItemView'] }) {
  const { record, papers } = stored
  return (
    <>
      {stored.student ? (
        <section>
          <h2 className="text-sm font-semibold">Written by</h2>
          <p>{stored.student}</p>
        </section>
      ) : null}
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
        <ToRecord id={stored.id} title={stored.item.title} />
      </section>
    </>
  )
}
