import { keepPreviousData, useInfiniteQuery, useQuery } from '@tanstack/react-query'
import { lazy, Suspense, useCallback, useMemo, useRef, useState } from 'react'
import { Link, useNavigate } from 'react-router'
import { answerOf, TYPES } from '@/answers/registry'
import { useAddress, useLeafing } from '@/lib/address'
import { api, take, type Schemas } from '@/lib/api/client'
import { decimal, duration, percent, plural } from '@/lib/format'
import { useKeys } from '@/lib/keys'
import { sortingOf, type Sorting } from '@/lib/sorting'
import { ask } from '@/lib/queries'
import { useTerms } from '@/lib/terms'
import { Button } from '@/ui/Button'
import { Desk, Head } from '@/ui/Desk'
import { Facet } from '@/ui/Facet'
import { later } from '@/ui/later'
import { Menu } from '@/ui/Menu'
import { Rows } from '@/ui/Rows'
import { SearchField } from '@/ui/SearchField'
import { Empty, Failed, Loading } from '@/ui/States'
import { useListed, type Column } from '@/ui/table'
import { Switch } from '@/ui/Switch'
import { Word } from '@/ui/Word'
import { ItemCard } from './ItemCard'
import { KeptSearches } from './KeptSearches'
import { ManyBar } from './ManyBar'
import { partsOf } from './remarkParts'
import { ToRecord } from './ToRecord'

const Folders = later(() => import('./Folders').then((it) => it.Folders))
// Its form is fetched after the list is there.
const Talk = lazy(() => import('@/ui/Talk').then((it) => ({ default: it.Talk })))

type Row = Schemas['BankItemRowView']

const NONE: ReadonlySet<string> = new Set()
/** How many were right so far, as the server bands it. */
const RIGHT = [
  { value: 'low', label: 'below 40 %' },
  { value: 'middle', label: '40 to 70 %' },
  { value: 'high', label: 'above 70 %' },
  { value: 'none', label: 'not sat yet' },
]
const LATEST: Sorting = { by: 'latest', down: false }
/** By what the server sorts. */
const SORTS = [LATEST.by, 'title', 'type', 'marks']

/** Finds a question again: by words, skill, wrong idea and type, with what was answered to it so far. */
export default function BankDesk() {
  const { at: asked, set, clear } = useAddress()
  const navigate = useNavigate()
  const search = useRef<HTMLInputElement>(null)
  const [showKey, setShowKey] = useState(true)
  const [picking, setPicking] = useState(false)
  const [many, setMany] = useState<ReadonlySet<string>>(NONE)
  const terms = useTerms()
  const filters = ['skill', 'misconception', 'type', 'author', 'right', 'used', 'folder', 'archived'].filter(
    (name) => asked(name) !== '',
  )
  const wanted = sortingOf(asked('sort'), LATEST)
  const sorting = SORTS.includes(wanted.by) ? wanted : LATEST
  const query = {
    q: asked('q'),
    ...Object.fromEntries(filters.map((name) => [name, asked(name)])),
    ...(sorting.by === LATEST.by ? {} : { sort: sorting.by }),
  }
  const list = useInfiniteQuery({
    queryKey: ['items', query],
    initialPageParam: 0,
    queryFn: ({ pageParam }) =>
      take(api.GET('/api/items', { params: { query: pageParam > 0 ? { ...query, from: String(pageParam) } : query } })),
    getNextPageParam: (last, pages) => {
      const had = pages.reduce((n, page) => n + page.items.length, 0)
      return had < last.total && last.items.length > 0 ? had : undefined
    },
    placeholderData: keepPreviousData,
  })
  const items = useMemo(() => list.data?.pages.flatMap((page) => page.items) ?? [], [list.data])
  const found = list.data?.pages[0]
  const skills = terms.data?.skills
  const columns = useMemo<Column<Row>[]>(
    () => [
      {
        id: 'title',
        head: 'Question',
        sort: (item) => item.title,
        cell: (item) => item.title,
        under: (item) => (
          <>
            {skills?.find((s) => s.id === item.skill)?.name ?? 'no skill'}
            {item.remarks > 0 ? <span className="text-blue"> · {plural(item.remarks, 'remark')}</span> : null}
          </>
        ),
      },
      {
        id: 'type',
        head: 'Answer',
        cell: (item) => answerOf(item.type),
        sort: (item) => item.type,
        wide: true,
      },
      {
        id: 'marks',
        head: 'Marks',
        cell: (item) => decimal(item.points),
        sort: (item) => item.points,
        right: true,
      },
      { id: 'used', head: 'Papers', cell: (item) => item.usedIn || '–', right: true, wide: true },
      { id: 'right', head: <Word of="facility">Right so far</Word>, cell: (item) => <Right item={item} /> },
    ],
    [skills],
  )
  // The server sorts, one way each.
  const shown = useListed(items, columns, sorting, ({ by }) => set('sort', by === sorting.by ? '' : by), true)
  const chosen = items.find((i) => i.id === asked('open')) ?? items[0]
  const pick = (id: string) =>
    setMany((old) => new Set(old.has(id) ? [...old].filter((one) => one !== id) : [...old, id]))
  const picked = items.filter((i) => many.has(i.id)).map((i) => i.id)
  const { here, goTo, step } = useLeafing(items, chosen?.id, (id) => set('open', id))
  const pickHere = () => {
    const id = here()
    if (id) pick(id)
  }
  const { fetchNextPage, hasNextPage, isFetchingNextPage } = list
  const more = useCallback(() => {
    if (hasNextPage && !isFetchingNextPage) void fetchNextPage()
  }, [fetchNextPage, hasNextPage, isFetchingNextPage])
  useKeys({
    '/': { label: 'Search the bank', run: () => search.current?.focus() },
    j: { label: 'Next question', run: () => step(1) },
    k: { label: 'Previous question', run: () => step(-1) },
    Enter: { label: 'Open the question', run: () => chosen && void navigate(`/bank/${chosen.id}`) },
    x: { label: 'Choose it, for an act on several', run: () => pickHere() },
    v: { label: 'Key on or off', run: () => setShowKey((on) => !on) },
    n: { label: 'New question', run: () => setPicking(true) },
    t: { label: 'Type in many questions', run: () => void navigate('/bank/entry') },
  })
  // What is looked for, as its address says it: without the question that is read beside the list.
  const kept = new URLSearchParams({ ...query, q: asked('q') })
  for (const [name, value] of [...kept]) if (value === '') kept.delete(name)
  const narrowed = filters.length > 0 || asked('q') !== ''
  return (
    <>
      <Head title="Bank" note={found ? `${plural(found.total, 'question')}${narrowed ? ' found' : ''}` : ''}>
        <div className="w-80 max-w-full">
          <SearchField
            ref={search}
            label="Search"
            hideLabel
            placeholder="words in the question"
            value={asked('q')}
            onSearch={(words) => set('q', words)}
          />
        </div>
        <Link to="/bank/terms" className="font-semibold text-blue underline">
          Skills and ideas
        </Link>
        <Link to="/bank/by-students" className="font-semibold text-blue underline">
          By students
        </Link>
        <Button hint="t" onClick={() => void navigate('/bank/entry')}>
          Type in many
        </Button>
        <Menu
          face="New question"
          kind="do"
          hint="n"
          head="The answer is"
          open={picking}
          onOpen={setPicking}
          acts={TYPES.map((t) => ({ id: t.id, label: t.answer, run: () => void navigate(`/bank/new/${t.id}`) }))}
        />
      </Head>
      <Desk
        leftLabel="Filters"
        rightLabel="The question"
        left={
          found ? (
            <div className="flex flex-col gap-4">
              <Folders value={asked('folder')} counts={found.folders} onChange={(value) => set('folder', value)} />
              <Facet
                label="Skill"
                any="any skill"
                value={asked('skill')}
                onChange={(value) => set('skill', value)}
                options={counted(terms.data?.skills, found.skills)}
              />
              <Facet
                label="Shows the idea"
                any="any idea, or none"
                value={asked('misconception')}
                onChange={(value) => set('misconception', value)}
                options={counted(terms.data?.misconceptions, found.misconceptions)}
              />
              <Facet
                label="The answer is"
                any="of any kind"
                value={asked('type')}
                onChange={(value) => set('type', value)}
                options={TYPES.map((t) => ({ value: t.id, label: t.answer, n: found.types[t.id] ?? 0 }))}
              />
              <Facet
                label="Right so far"
                any="however many"
                value={asked('right')}
                onChange={(value) => set('right', value)}
                options={RIGHT.map((band) => ({ ...band, n: found.right[band.value] ?? 0 }))}
                asListed
              />
              <Facet
                label="In papers"
                any="used or not"
                value={asked('used')}
                onChange={(value) => set('used', value)}
                options={[
                  { value: '1', label: 'in a published paper', n: found.used },
                  { value: '0', label: 'in none yet', n: sum(found.right) - found.used },
                ]}
              />
              <Facet
                label="Written by"
                any="anybody"
                value={asked('author')}
                onChange={(value) => set('author', value)}
                options={Object.entries(found.names).map(([value, label]) => ({
                  value,
                  label,
                  n: found.authors[value] ?? 0,
                }))}
              />
              <KeptSearches query={kept.toString()} />
              <Switch
                label="Show what was archived"
                on={asked('archived') !== ''}
                onChange={(on) => set('archived', on ? '1' : '')}
              />
            </div>
          ) : undefined
        }
        right={chosen ? <Reading id={chosen.id} showKey={showKey} setShowKey={setShowKey} /> : undefined}
      >
        {list.isPending ? <Loading what="Looking through the bank" /> : null}
        {list.isError ? <Failed error={list.error} retry={() => void list.refetch()} /> : null}
        {found && items.length === 0 ? (
          <Empty title={narrowed ? 'No question fits' : 'The bank is empty'}>
            {narrowed ? (
              <>
                <p>Try fewer words or another filter.</p>
                <Button onClick={clear}>Clear the filters</Button>
              </>
            ) : (
              <p>Write the first question with the button above.</p>
            )}
          </Empty>
        ) : null}
        {found && items.length > 0 ? (
          <Rows
            label="Questions of the bank"
            list={shown}
            total={found.total}
            onNeedMore={more}
            to={(item) => `/bank/${item.id}`}
            chosen={chosen?.id}
            onChoose={goTo}
            picks={{ picked: many, pick, named: (item) => item.title }}
          />
        ) : null}
        {picked.length > 0 ? (
          <ManyBar
            ids={picked}
            archived={asked('archived') !== ''}
            folder={asked('folder')}
            onDone={() => setMany(NONE)}
          />
        ) : null}
      </Desk>
    </>
  )
}

const sum = (counts: Record<string, number>) => Object.values(counts).reduce((all, n) => all + n, 0)

const counted = (terms: readonly Schemas['BankTermView'][] | undefined, counts: Record<string, number>) =>
  (terms ?? []).map((t) => ({ value: t.id, label: t.name, n: counts[t.id] ?? 0 }))

/** The mean credit so far, as a bar beside its figures. */
function Right({ item }: { item: Row }) {
  if (item.facility === null) return <span className="text-quiet">not sat yet</span>
  return (
    <span className="flex items-center gap-2 whitespace-nowrap tabular-nums">
      <svg aria-hidden viewBox="0 0 90 8" className="h-2 w-[90px] shrink-0 max-md:hidden">
        <rect x="0.5" y="0.5" width="89" height="7" className="fill-none stroke-edge" />
        <rect width={90 * item.facility} height="8" className="fill-r3" />
      </svg>
      {percent(item.facility)} <span className="text-quiet">of {item.students}</span>
    </span>
  )
}

function Reading({ id, showKey, setShowKey }: { id: string; showKey: boolean; setShowKey: (on: boolean) => void }) {
  const item = useQuery(ask.item(id))
  if (item.isPending) return <Loading />
  if (!item.data) return <Failed error={item.error} />
  const { record } = item.data
  return (
    <div className="flex flex-col gap-4">
      <div className="flex items-start gap-3">
        <h2 className="flex-1 text-lg">{item.data.item.title}</h2>
        <Link to={`/bank/${id}`} className="font-semibold text-blue underline">
          Edit
        </Link>
      </div>
      <ItemCard item={item.data.item} showKey={showKey} record={record} />
      <Switch label="Show the key" on={showKey} onChange={setShowKey} />
      <section className="border-t pt-3 text-[15px]">
        <h3 className="text-base">Record</h3>
        {record.students === 0 ? (
          <p className="text-quiet">Nobody has handed this in yet.</p>
        ) : (
          <p>
            {record.facility === null ? '' : `${percent(record.facility)} mean credit, `}
            {plural(record.students, 'student')} in {plural(record.handouts, 'handout')}, first tries.
            {record.seconds === null ? '' : ` Half answer within ${duration(record.seconds)}.`}
          </p>
        )}
        <ToRecord id={id} title={item.data.item.title} />
        <p className="text-quiet">
          {item.data.papers.length > 0 ? `In ${item.data.papers.join(', ')}. ` : 'In no paper. '}
          {item.data.student ? `Written by ${item.data.student}; let in by` : 'By'} {item.data.author}.
        </p>
      </section>
      <div className="border-t pt-3">
        <Suspense>
          <Talk key={id} about={{ on: 'items', id, parts: partsOf(item.data.item) }} under="h3" />
        </Suspense>
      </div>
    </div>
  )
}
