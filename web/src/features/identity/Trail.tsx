import { useInfiniteQuery, useQueryClient } from '@tanstack/react-query'
import { useState } from 'react'
import { Link } from 'react-router'
import { api, take, type Schemas } from '@/lib/api/client'
import { timeOfDay } from '@/lib/format'
import { Button } from '@/ui/Button'
import { Head } from '@/ui/Desk'
import { SelectField } from '@/ui/Select'
import { Scroll } from '@/ui/Scroll'
import { Empty, Failed, Loading } from '@/ui/States'
import { toast } from '@/ui/toast'

type Line = Schemas['IdentityTrailLineView']
const KINDS = {
  item: 'questions',
  paper: 'papers',
  class: 'classes',
  student: 'students',
  handout: 'handouts, keys and returns',
  grouping: 'groupings',
  skill: 'skills',
  misconception: 'misconceptions',
}
const DESKS: Record<string, (id: string) => string> = {
  item: (id) => `/bank/${id}`,
  paper: (id) => `/papers/${id}`,
  class: (id) => `/classes/${id}`,
  handout: (id) => `/lookout/${id}`,
  grouping: (id) => `/groups/${id}`,
}
const day = new Intl.DateTimeFormat('en-GB', { weekday: 'long', day: 'numeric', month: 'long', year: 'numeric' })

const takeBack = ({ kind, id, within }: Schemas['IdentityTrailUndoView']): Promise<unknown> => {
  switch (kind) {
    case 'key':
      return take(api.POST('/api/key-changes/{id}/undo', { params: { path: { id } } }))
    case 'item':
      return take(api.POST('/api/items/{id}/restore', { params: { path: { id } } }))
    case 'paper':
      return take(api.POST('/api/papers/{id}/restore', { params: { path: { id } } }))
    case 'grouping':
      return take(api.POST('/api/groupings/{id}/restore', { params: { path: { id } } }))
    default:
      return take(
        api.POST('/api/classes/{id}/students/{student}/return', {
          params: { path: { id: within ?? '', student: id } },
        }),
      )
  }
}

/** Who changed what, and what of it can still be taken back. */
export default function Trail() {
  const client = useQueryClient()
  const [by, setBy] = useState('')
  const [kind, setKind] = useState('')
  const [busy, setBusy] = useState(false)
  const trail = useInfiniteQuery({
    queryKey: ['trail', by, kind],
    queryFn: ({ pageParam }) => take(api.GET('/api/trail', { params: { query: { by, kind, before: pageParam } } })),
    initialPageParam: '',
    getNextPageParam: (last) => last.older,
    placeholderData: (old) => old,
  })
  const lines = trail.data?.pages.flatMap((page) => page.lines) ?? []
  const staff = trail.data?.pages[0]?.staff ?? []
  const days = byDay(lines)
  const back = async (line: Line) => {
    if (!line.undo) return
    setBusy(true)
    try {
      await takeBack(line.undo)
      toast(`Taken back: ${[line.by, line.did, line.subject, line.detail].filter(Boolean).join(' ')}.`)
      await client.invalidateQueries()
    } finally {
      setBusy(false)
    }
  }
  return (
    <>
      <Head title="Trail" note="who changed what; nothing here is ever removed">
        <SelectField
          label="By"
          hideLabel
          size="small"
          value={by}
          onChange={setBy}
          options={[
            { value: '', label: 'by everybody' },
            ...staff.map((s) => ({ value: s.id, label: `by ${s.name}` })),
          ]}
        />
        <SelectField
          label="Of"
          hideLabel
          size="small"
          value={kind}
          onChange={setKind}
          options={[
            { value: '', label: 'of everything' },
            ...Object.entries(KINDS).map(([value, label]) => ({ value, label: `of ${label}` })),
          ]}
        />
      </Head>
      <Scroll label="What was changed">
        {trail.isPending ? <Loading what="Reading the trail" /> : null}
        {trail.isError ? <Failed error={trail.error} retry={() => void trail.refetch()} /> : null}
        {trail.data && lines.length === 0 ? (
          <Empty title={by || kind ? 'Nothing of this kind' : 'Nothing has been changed yet'}>
            {by || kind ? (
              <Button
                onClick={() => {
                  setBy('')
                  setKind('')
                }}
              >
                Show everything
              </Button>
            ) : (
              <p>Each change to questions, papers, classes, keys and marks will be told here.</p>
            )}
          </Empty>
        ) : null}
        {days.map(([name, list]) => (
          <section key={name} aria-label={name} className="max-w-4xl">
            <h2 className="sticky top-0 border-b bg-ground px-6 pt-4 pb-1.5 text-lg">{name}</h2>
            <ol>
              {list.map((line) => (
                <li key={line.id} className="flex items-baseline gap-4 border-b px-6 py-2">
                  <time dateTime={line.at} className="w-12 shrink-0 text-sm text-quiet tabular-nums">
                    {timeOfDay(new Date(line.at))}
                  </time>
                  <p className="min-w-0 flex-1">
                    {line.by} {line.did} <Subject line={line} />
                    <span className="text-quiet">
                      {line.detail ? ` ${line.detail}` : ''}
                      {line.times > 1 ? `, ${line.times} times` : ''}
                    </span>
                  </p>
                  {line.undo ? (
                    <Button
                      size="small"
                      disabled={busy}
                      aria-label={`Take back: ${line.did} ${line.subject}`}
                      onClick={() => void back(line)}
                    >
                      Take back
                    </Button>
                  ) : null}
                </li>
              ))}
            </ol>
          </section>
        ))}
        {trail.hasNextPage ? (
          <p className="px-6 py-4">
            <Button disabled={trail.isFetchingNextPage} onClick={() => void trail.fetchNextPage()}>
              {trail.isFetchingNextPage ? 'Reading …' : 'Older'}
            </Button>
          </p>
        ) : null}
      </Scroll>
    </>
  )
}

function Subject({ line }: { line: Line }) {
  const desk = DESKS[line.subjectKind]
  // What has been archived has no desk to open.
  if (!desk || line.undo?.kind === 'item' || line.undo?.kind === 'paper') return <b>{line.subject}</b>
  return (
    <Link to={desk(line.subjectId)} className="font-bold underline decoration-line underline-offset-4">
      {line.subject}
    </Link>
  )
}

function byDay(lines: Line[]): [string, Line[]][] {
  const days: [string, Line[]][] = []
  for (const line of lines) {
    const name = day.format(new Date(line.at))
    const last = days[days.length - 1]
    if (last?.[0] === name) last[1].push(line)
    else days.push([name, [line]])
  }
  return days
}
