import { useQuery, useQueryClient } from '@tanstack/react-query'
import { useEffect, useState } from 'react'
import { useNavigate } from 'react-router'
import { api, problemOf, take, type Schemas } from '@/lib/api/client'
import { plural } from '@/lib/format'
import { useKeys } from '@/lib/keys'
import { useSaid } from '@/lib/say'
import { Button } from '@/ui/Button'
import { ClassPicker } from '@/ui/ClassPicker'
import { Desk, Head } from '@/ui/Desk'
import { TextField } from '@/ui/Field'
import { SelectField } from '@/ui/Select'
import { FaultLine } from '@/ui/States'
import { toast } from '@/ui/toast'
import { AIMS, evenSizes, isPlanned, movedTo, placesOf, type Aim, type Group, type Plan } from './groups'
import { Board } from './Board'
import { PlanForm } from './PlanForm'
import { WhyHere } from './WhyHere'

type Fit = NonNullable<Schemas['RegroupGroupingView']['fit']>
type Props = {
  proposal: Schemas['RegroupGroupingView'] | null
  error: unknown
  /** Other groups are on their way; those shown are of the plan before. */
  forming: boolean
  aim: Aim
  onAim: (aim: Aim) => void
  plan: Plan
  onPlan: (plan: Plan) => void
  /** The class whose students are grouped; '' for all. */
  group: string
  onGroup: (name: string) => void
}

/** Proposed groups: by what, how many, who with whom; then by hand. */
export function Proposal({ proposal, error, forming, aim, onAim, plan, onPlan, group, onGroup }: Props) {
  const [history, setHistory] = useState<Group[][]>([proposal?.groups ?? []])
  const [typed, setTyped] = useState<string | null>(null)
  const name = typed ?? proposal?.name ?? ''
  // Other groups have been formed: what was moved by hand belonged to the ones before.
  useEffect(() => setHistory([proposal?.groups ?? []]), [proposal])
  const [busy, setBusy] = useState(false)
  const navigate = useNavigate()
  const client = useQueryClient()
  const groups = history.at(-1) ?? []
  const people = groups.flatMap((g) => g.members).sort((a, b) => a.name.localeCompare(b.name))
  const moved = history.length > 1
  const undo = () => setHistory((h) => (h.length > 1 ? h.slice(0, -1) : h))
  const choose = (next: Aim) => {
    if (isPlanned(next) && plan.most === 0 && people.length > 0)
      onPlan({ ...plan, ...evenSizes(people.length, plan.groups) })
    onAim(next)
  }
  // Moved by hand, the groups are weighed anew just as they stand.
  const places = placesOf(groups)
  const [chosen, setChosen] = useState<string | null>(null)
  const member = groups.flatMap((g) => g.members).find((m) => m.studentId === chosen)
  const weighed = useQuery({
    queryKey: ['weighed', proposal?.handoutId, aim, plan, group, places, member ? chosen : null],
    queryFn: () =>
      take(
        api.POST('/api/handouts/{id}/groups', {
          params: { path: { id: proposal?.handoutId ?? '' } },
          body: {
            ...plan,
            aim,
            class: group,
            groups: groups.length,
            fixed: places,
            ...(member && chosen ? { consider: chosen } : {}),
          },
        }),
      ),
    enabled: (moved || member !== undefined) && isPlanned(aim) && proposal !== null && !forming,
    placeholderData: (old) => old,
    staleTime: Infinity,
  })
  const elsewhere = weighed.isPlaceholderData ? [] : (weighed.data?.fit?.elsewhere ?? [])
  const onMove = (student: string, to: number) => setHistory((h) => [...h, movedTo(h.at(-1) ?? [], student, to)])
  const fit = moved ? (weighed.data?.fit ?? null) : (proposal?.fit ?? null)
  useKeys({
    'Ctrl+z': { label: 'Take the last move back', run: undo },
    ...Object.fromEntries(AIMS.map((a, i) => [String(i + 1), { label: a.label, run: () => choose(a.id) }] as const)),
  })
  const keep = async () => {
    if (!proposal) return
    setBusy(true)
    try {
      const filled = groups.filter((g) => g.members.length > 0)
      const made = await take(
        api.POST('/api/handouts/{id}/groupings', {
          params: { path: { id: proposal.handoutId } },
          body: {
            name,
            aim,
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
      <Head title="Regroup" note={proposal ? `from “${proposal.handout}” · ${plural(people.length, 'student')}` : ''}>
        <ClassPicker classes={proposal?.classes ?? []} value={group} onChange={onGroup} />
        <Button disabled={!moved} onClick={undo}>
          Undo
        </Button>
        <Button kind="do" disabled={busy || forming || people.length === 0} onClick={() => void keep()}>
          Keep this grouping
        </Button>
      </Head>
      <Desk
        leftLabel="What the groups should be"
        rightLabel="Why here"
        right={
          member ? (
            <WhyHere
              key={member.studentId}
              handoutId={proposal?.handoutId ?? ''}
              member={member}
              groups={groups}
              worth={
                fit && isPlanned(aim)
                  ? { now: shown(fit, fit.value), elsewhere: elsewhere.map((value) => shown(fit, value)) }
                  : undefined
              }
              onMove={(to) => onMove(member.studentId, to)}
            />
          ) : (
            <p className="text-quiet">Choose a student to see why they stand where they stand.</p>
          )
        }
        left={
          <div className="flex flex-col gap-4">
            <TextField
              label="Name of the grouping"
              value={name}
              maxLength={120}
              onChange={(e) => setTyped(e.target.value)}
            />
            <SelectField
              label="Aim"
              value={aim}
              onChange={choose}
              options={[...AIMS.map((a) => ({ value: a.id, label: a.label }))]}
            />
            {fit ? <FitLines fit={fit} /> : null}
            {isPlanned(aim) ? (
              <PlanForm plan={plan} people={people} onChange={onPlan} />
            ) : (
              <p className="text-sm text-quiet">
                As many groups as there are {aim === 'rung' ? 'rungs' : 'ideas that three or more share'}. The other
                aims let you say how many, how large, and who is kept apart.
              </p>
            )}
          </div>
        }
      >
        <div className={`p-6 ${forming ? 'opacity-55' : ''}`} inert={forming} aria-busy={forming}>
          <FaultLine error={error} />
          {people.length === 0 ? <p className="text-quiet">Nobody has handed in work to group by.</p> : null}
          <Board groups={groups} chosen={chosen} onChoose={setChosen} onMove={onMove} />
          {proposal && proposal.absent.length > 0 ? (
            <section aria-label="Without results" className="mt-6 border-t pt-3 text-[15px]">
              <h2 className="text-base">{plural(proposal.absent.length, 'student')} without results</h2>
              <p className="text-quiet">
                Handed nothing in, so nothing places them: {proposal.absent.map((a) => a.name).join(', ')}.
              </p>
            </section>
          ) : null}
        </div>
      </Desk>
    </>
  )
}

const shown = (fit: Fit, value: number) => (fit.better === 'less' ? `${(100 * value).toFixed(1)} %` : value.toFixed(1))

/** How good the groups are, and what they do not keep. */
function FitLines({ fit }: { fit: Fit }) {
  useSaid(`${shown(fit, fit.value)} ${fit.measure}`)
  return (
    <section className="border-t pt-3 text-[15px]">
      <h2 className="text-base">How well it meets the aim</h2>
      <div>
        <p>
          <span className="font-head text-2xl font-semibold tabular-nums">{shown(fit, fit.value)}</span>{' '}
          <span className="text-quiet">
            {fit.measure}; {fit.better} is better
            {fit.bound === null ? '' : `, ${shown(fit, fit.bound)} is the limit`}
          </span>
        </p>
        {fit.clash ? <p className="font-semibold text-bad">✕ {fit.clash}</p> : null}
        {fit.broken.length > 0 ? (
          <ul className="text-bad">
            {fit.broken.map((b) => (
              <li key={b}>○ {b}</li>
            ))}
          </ul>
        ) : (
          <p className="text-good">✓ Every constraint is kept.</p>
        )}
      </div>
    </section>
  )
}
