import { useQuery, useQueryClient } from '@tanstack/react-query'
import { useEffect, useState } from 'react'
import { useNavigate, useParams } from 'react-router'
import { api, problemOf, take, type Schemas } from '@/lib/api/client'
import { moment, plural } from '@/lib/format'
import { useKeys } from '@/lib/keys'
import { Button } from '@/ui/Button'
import { Head } from '@/ui/Desk'
import { SelectField } from '@/ui/Field'
import { Failed, Loading } from '@/ui/States'
import { toast } from '@/ui/Toasts'
import { movedTo, type Group } from './groups'

/** Groups from a handout's results: proposed, moved by hand, kept, and handed their next paper in one act. */
export default function GroupingDesk() {
  const { id, handout } = useParams()
  const [by, setBy] = useState<'rung' | 'misconception'>('misconception')
  const grouping = useQuery({
    queryKey: id ? ['grouping', id] : ['proposal', handout, by],
    queryFn: () =>
      take(
        id
          ? api.GET('/api/groupings/{id}', { params: { path: { id } } })
          : api.GET('/api/handouts/{id}/groups', { params: { path: { id: handout ?? '' }, query: { by } } }),
      ),
    refetchOnWindowFocus: false,
    staleTime: 60_000,
  })
  if (grouping.isPending) return <Loading what="Forming groups" />
  if (grouping.isError) return <Failed error={grouping.error} retry={() => void grouping.refetch()} />
  return id ? (
    <Kept key={id} grouping={grouping.data} />
  ) : (
    <Proposal key={`${by}-${grouping.dataUpdatedAt}`} proposal={grouping.data} by={by} onBy={setBy} />
  )
}

function Proposal({
  proposal,
  by,
  onBy,
}: {
  proposal: Schemas['RegroupGroupingView']
  by: 'rung' | 'misconception'
  onBy: (by: 'rung' | 'misconception') => void
}) {
  const [history, setHistory] = useState<Group[][]>([proposal.groups])
  const [name, setName] = useState(proposal.name)
  const [busy, setBusy] = useState(false)
  const navigate = useNavigate()
  const client = useQueryClient()
  const groups = history.at(-1) ?? []
  const undo = () => setHistory((h) => (h.length > 1 ? h.slice(0, -1) : h))
  useKeys({
    'Ctrl+z': { label: 'Take the last move back', run: undo },
    '1': { label: 'By misconception', run: () => onBy('misconception') },
    '2': { label: 'By rung', run: () => onBy('rung') },
  })
  const keep = async () => {
    setBusy(true)
    try {
      const filled = groups.filter((g) => g.members.length > 0)
      const made = await take(
        api.POST('/api/handouts/{id}/groupings', {
          params: { path: { id: proposal.handoutId } },
          body: {
            name,
            aim: by,
            groups: filled.map((g) => ({
              name: g.name,
              about: g.about,
              members: g.members.map((m) => ({ studentId: m.studentId, reason: m.reason })),
            })),
          },
        }),
      )
      void client.invalidateQueries({ queryKey: ['groupings'] })
      toast('The grouping is kept. Hand each group its next paper.')
      void navigate(`/groups/${made.id ?? ''}`)
    } catch (thrown) {
      const problem = problemOf(thrown)
      toast(`${problem.message} ${problem.detail}`, { bad: true })
    } finally {
      setBusy(false)
    }
  }
  return (
    <>
      <Head
        title="Regroup"
        note={`from “${proposal.handout}” · ${plural(
          groups.reduce((n, g) => n + g.members.length, 0),
          'student',
        )}`}
      >
        <div role="group" aria-label="Aim" className="flex rounded border border-edge/60">
          {(['misconception', 'rung'] as const).map((aim) => (
            <button
              key={aim}
              aria-pressed={by === aim}
              className={`px-3 py-1.5 text-[15px] font-semibold ${by === aim ? 'bg-ink text-ground' : 'bg-sheet'}`}
              onClick={() => onBy(aim)}
            >
              By {aim}
            </button>
          ))}
        </div>
        <Button disabled={history.length === 1} onClick={undo}>
          Undo
        </Button>
        <Button kind="do" disabled={busy || groups.length === 0} onClick={() => void keep()}>
          Keep this grouping
        </Button>
      </Head>
      <div className="min-h-0 flex-1 overflow-auto p-6">
        <label className="mb-4 flex max-w-md flex-col gap-1 text-sm font-semibold">
          Name of the grouping
          <input className="field font-normal" value={name} maxLength={120} onChange={(e) => setName(e.target.value)} />
        </label>
        {groups.length === 0 ? <p className="text-quiet">Nobody has handed in work to group by.</p> : null}
        <Groups
          groups={groups}
          onMove={(student, to) => setHistory((h) => [...h, movedTo(h.at(-1) ?? [], student, to)])}
        />
      </div>
    </>
  )
}

function Groups({ groups, onMove }: { groups: Group[]; onMove?: (studentId: string, to: number) => void }) {
  return (
    <div className="grid items-start gap-4 md:grid-cols-2 xl:grid-cols-3">
      {groups.map((group, i) => (
        <section
          key={i}
          aria-label={group.name}
          className="rounded border bg-sheet"
          onDragOver={(e) => onMove && e.preventDefault()}
          onDrop={(e) => {
            e.preventDefault()
            onMove?.(e.dataTransfer.getData('text/plain'), i)
          }}
        >
          <header className="border-b px-4 py-2">
            <h2 className="text-lg">{group.name}</h2>
            <p className="text-sm text-quiet">
              {plural(group.members.length, 'student')}
              {group.nextStep ? ` · ${group.nextStep}` : ''}
            </p>
            {group.handouts.length > 0 ? (
              <p className="text-sm text-good">✓ handed: {group.handouts.join(', ')}</p>
            ) : null}
          </header>
          <ul>
            {group.members.map((m) => (
              <li
                key={m.studentId}
                draggable={Boolean(onMove)}
                onDragStart={(e) => e.dataTransfer.setData('text/plain', m.studentId)}
                className={`border-b px-4 py-1.5 ${onMove ? 'cursor-grab' : ''}`}
              >
                <div className="flex items-center gap-2">
                  <span className="flex-1 font-semibold">{m.name}</span>
                  {onMove ? (
                    <select
                      aria-label={`Group of ${m.name}`}
                      className="max-w-32 rounded border border-edge/60 bg-sheet px-1 text-sm"
                      value={i}
                      onChange={(e) => onMove(m.studentId, Number(e.target.value))}
                    >
                      {groups.map((g, j) => (
                        <option key={j} value={j}>
                          {j === i ? 'move to …' : g.name}
                        </option>
                      ))}
                    </select>
                  ) : null}
                </div>
                <p className="text-sm text-quiet">{m.reason}</p>
              </li>
            ))}
          </ul>
        </section>
      ))}
    </div>
  )
}

function Kept({ grouping }: { grouping: Schemas['RegroupGroupingView'] }) {
  const client = useQueryClient()
  const papers = useQuery({ queryKey: ['papers'], queryFn: () => take(api.GET('/api/papers')) })
  const [shown, setShown] = useState(grouping)
  const [choice, setChoice] = useState<Record<string, string>>({})
  const [requests] = useState(() => Object.fromEntries(grouping.groups.map((g) => [g.id ?? '', crypto.randomUUID()])))
  const [busy, setBusy] = useState(false)
  useEffect(() => setShown(grouping), [grouping])
  const published = papers.data?.papers.filter((p) => p.editionId) ?? []
  const chosen = Object.entries(choice).filter(([, edition]) => edition !== '')
  const handOut = async () => {
    setBusy(true)
    try {
      const next = await take(
        api.POST('/api/groupings/{id}/follow-ups', {
          params: { path: { id: grouping.id ?? '' } },
          body: {
            groups: chosen.map(([groupId, editionId]) => ({ groupId, editionId, requestId: requests[groupId] ?? '' })),
            conditions: {
              attempts: 1,
              counts: 'best',
              shuffleQuestions: false,
              shuffleOptions: false,
              feedback: 'on return',
            },
          },
        }),
      )
      setShown(next)
      setChoice({})
      client.setQueryData(['grouping', grouping.id], next)
      void client.invalidateQueries({ queryKey: ['handouts'] })
      void client.invalidateQueries({ queryKey: ['groupings'] })
      toast(`Follow-ups handed to ${plural(chosen.length, 'group')}.`)
    } catch (thrown) {
      const problem = problemOf(thrown)
      toast(`${problem.message} ${problem.detail}`, { bad: true })
    } finally {
      setBusy(false)
    }
  }
  return (
    <>
      <Head
        title={shown.name}
        note={`by ${shown.aim}, from “${shown.handout}” · ${shown.madeAt ? moment(shown.madeAt) : ''} by ${shown.madeBy ?? ''}`}
      >
        <Button kind="do" disabled={busy || chosen.length === 0} onClick={() => void handOut()}>
          {chosen.length === 0 ? 'Hand out follow-ups' : `Hand out to ${plural(chosen.length, 'group')}`}
        </Button>
      </Head>
      <div className="min-h-0 flex-1 overflow-auto p-6">
        <section className="mb-5 max-w-3xl rounded border bg-sheet p-4" aria-label="Follow-ups">
          <h2 className="text-lg">What is each group handed next?</h2>
          <div className="mt-2 grid gap-3 sm:grid-cols-2">
            {shown.groups.map((g) => (
              <SelectField
                key={g.id}
                label={`${g.name}, ${plural(g.members.length, 'student')}`}
                value={choice[g.id ?? ''] ?? ''}
                onChange={(e) => setChoice({ ...choice, [g.id ?? '']: e.target.value })}
              >
                <option value="">nothing</option>
                {published.map((p) => (
                  <option key={p.id} value={p.editionId ?? ''}>
                    {p.title}
                  </option>
                ))}
              </SelectField>
            ))}
          </div>
        </section>
        <Groups groups={shown.groups} />
      </div>
    </>
  )
}
