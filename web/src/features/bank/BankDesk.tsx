import { keepPreviousData, useQuery } from '@tanstack/react-query'
import { useRef, useState } from 'react'
import { Link, useNavigate, useSearchParams } from 'react-router'
import { api, take } from '@/lib/api/client'
import { duration, percent, plural } from '@/lib/format'
import { useKeys } from '@/lib/keys'
import { roving } from '@/lib/roving'
import { Button } from '@/ui/Button'
import { Combobox } from '@/ui/Combobox'
import { Desk, Head } from '@/ui/Desk'
import { Radios } from '@/ui/Radios'
import { Tick } from '@/ui/Tick'
import { SearchField } from '@/ui/SearchField'
import { Empty, Failed, Loading } from '@/ui/States'
import { ItemCard } from './ItemCard'
import { TYPES, typeName } from '@/answers/registry'
import { useTerms } from '@/lib/terms'
import { Word } from '@/ui/Word'

export default function BankDesk() {
  const [params, setParams] = useSearchParams()
  const navigate = useNavigate()
  const search = useRef<HTMLInputElement>(null)
  const [showKey, setShowKey] = useState(true)
  const terms = useTerms()
  const q = params.get('q') ?? ''
  const skill = params.get('skill') ?? ''
  const misconception = params.get('misconception') ?? ''
  const type = params.get('type') ?? ''
  const filter = {
    q,
    ...(skill ? { skill } : {}),
    ...(misconception ? { misconception } : {}),
    ...(type ? { type } : {}),
  }
  const list = useQuery({
    queryKey: ['items', filter],
    queryFn: () => take(api.GET('/api/items', { params: { query: filter } })),
    placeholderData: keepPreviousData,
  })
  const items = list.data?.items ?? []
  const chosen = items.find((i) => i.id === params.get('open')) ?? items[0]
  const set = (name: string, value: string) =>
    setParams(
      (old) => {
        const next = new URLSearchParams(old)
        if (value) next.set(name, value)
        else next.delete(name)
        return next
      },
      { replace: true },
    )
  const step = (by: number) => {
    const at = items.findIndex((i) => i.id === chosen?.id)
    const next = items[Math.max(0, Math.min(items.length - 1, at + by))]
    if (next) {
      set('open', next.id)
      document.getElementById(`row-${next.id}`)?.scrollIntoView({ block: 'nearest' })
    }
  }
  const rove = roving(
    items.map((i) => i.id),
    chosen?.id,
    (id) => set('open', id),
  )
  useKeys({
    '/': { label: 'Search the bank', run: () => search.current?.focus() },
    j: { label: 'Next question', run: () => step(1) },
    k: { label: 'Previous question', run: () => step(-1) },
    Enter: { label: 'Open the question', run: () => chosen && void navigate(`/bank/${chosen.id}`) },
    v: { label: 'Key on or off', run: () => setShowKey((on) => !on) },
  })
  return (
    <>
      <Head title="Bank" note={list.data ? plural(list.data.total, 'question') : ''}>
        {TYPES.map((t) => (
          <Button key={t.id} onClick={() => void navigate(`/bank/new/${t.id}`)}>
            New {t.name}
          </Button>
        ))}
      </Head>
      <Desk
        leftLabel="Filters"
        rightLabel="The question"
        left={
          <div className="flex flex-col gap-4">
            <SearchField
              inputRef={search}
              label="Search"
              placeholder="words in the question"
              value={q}
              onSearch={(words) => set('q', words)}
            />
            {(['skill', 'misconception'] as const).map((name) => (
              <Combobox
                key={name}
                label={name === 'skill' ? 'Skill' : 'Misconception'}
                value={params.get(name) ?? ''}
                onChange={(value) => set(name, value)}
                options={[
                  { value: '', label: `Any ${name}` },
                  ...(terms.data?.[`${name}s`] ?? []).map((t) => ({
                    value: t.id,
                    label: t.name,
                    aside: String(t.questions),
                  })),
                ]}
              />
            ))}
            <Radios
              label="Type"
              value={type}
              onChange={(value) => set('type', value)}
              options={[{ id: '', name: 'any type' }, ...TYPES].map((t) => ({
                value: t.id,
                label: t.name,
                aside: t.id
                  ? (list.data?.types[t.id] ?? 0)
                  : Object.values(list.data?.types ?? {}).reduce((a, b) => a + b, 0),
              }))}
            />
          </div>
        }
        right={chosen ? <Reading id={chosen.id} showKey={showKey} setShowKey={setShowKey} /> : undefined}
      >
        {list.isPending ? <Loading what="Looking through the bank" /> : null}
        {list.isError ? <Failed error={list.error} retry={() => void list.refetch()} /> : null}
        {list.data && items.length === 0 ? (
          <Empty title={q || skill || misconception || type ? 'No question fits' : 'The bank is empty'}>
            {q || skill || misconception || type ? (
              <>
                <p>Try fewer words or another filter.</p>
                <Button onClick={() => setParams({})}>Clear the filters</Button>
              </>
            ) : (
              <p>Write the first question with one of the buttons above.</p>
            )}
          </Empty>
        ) : null}
        {items.length > 0 ? (
          <table className="w-full text-[15px]">
            <caption className="sr-only">Questions of the bank</caption>
            <thead>
              <tr className="border-b text-left text-sm text-quiet">
                <th scope="col" className="py-2 pl-6 font-medium">
                  Question
                </th>
                <th scope="col" className="px-2 font-medium">
                  Type
                </th>
                <th scope="col" className="px-2 text-right font-medium">
                  Marks
                </th>
                <th scope="col" className="px-2 pr-5 text-right font-medium">
                  <Word of="facility">Facility</Word>, of
                </th>
              </tr>
            </thead>
            <tbody {...rove.list}>
              {items.map((item) => (
                <tr
                  key={item.id}
                  id={`row-${item.id}`}
                  className={`cursor-pointer border-b ${item.id === chosen?.id ? 'bg-sheet' : 'hover:bg-pale'}`}
                  onClick={() => set('open', item.id)}
                >
                  <td className={`py-1.5 pl-6 ${item.id === chosen?.id ? 'rung-row' : ''}`}>
                    <Link
                      to={`/bank/${item.id}`}
                      {...rove.item(item.id)}
                      className={`hover:underline ${item.id === chosen?.id ? 'font-bold' : 'font-semibold'}`}
                    >
                      {item.title}
                    </Link>
                    <span className="block text-sm text-quiet">
                      {terms.data?.skills.find((s) => s.id === item.skill)?.name ?? 'no skill'}
                    </span>
                  </td>
                  <td className="px-2 whitespace-nowrap">{typeName(item.type)}</td>
                  <td className="px-2 text-right">{item.points}</td>
                  <td className="px-2 pr-5 text-right whitespace-nowrap">
                    {item.facility === null ? (
                      <span className="text-quiet">not sat yet</span>
                    ) : (
                      `${percent(item.facility)} of ${item.students}`
                    )}
                  </td>
                </tr>
              ))}
            </tbody>
          </table>
        ) : null}
      </Desk>
    </>
  )
}

function Reading({ id, showKey, setShowKey }: { id: string; showKey: boolean; setShowKey: (on: boolean) => void }) {
  const item = useQuery({
    queryKey: ['item', id],
    queryFn: () => take(api.GET('/api/items/{id}', { params: { path: { id } } })),
  })
  if (item.isPending) return <Loading />
  if (item.isError) return <Failed error={item.error} />
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
      <Tick label="Show the key" checked={showKey} onChange={(on) => setShowKey(on)} />
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
        <p className="text-quiet">
          {item.data.papers.length > 0 ? `In ${item.data.papers.join(', ')}. ` : 'In no paper. '}By {item.data.author}.
        </p>
      </section>
    </div>
  )
}
