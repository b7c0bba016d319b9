import { useQuery, useQueryClient } from '@tanstack/react-query'
import { useEffect, useState } from 'react'
import { ask } from '@/lib/queries'
import { api, problemOf, take, type Schemas } from '@/lib/api/client'
import { PLAIN_CONDITIONS } from '@/lib/conditions'
import { moment, plural } from '@/lib/format'
import { Button } from '@/ui/Button'
import { Desk, Head } from '@/ui/Desk'
import { PlanField } from '@/ui/PlanField'
import { SelectField } from '@/ui/Select'
import { Tick } from '@/ui/Tick'
import { toast } from '@/ui/toast'
import { aimWords } from './groups'
import { Board } from './Board'
import { WhyHere } from './WhyHere'

type Grouping = Schemas['RegroupGroupingView']

/** An id for each group's next hand-out, so that pressing twice hands out once. */
const requestsFor = (grouping: Grouping) =>
  Object.fromEntries(grouping.groups.map((g) => [g.id ?? '', crypto.randomUUID()]))

/** A kept grouping: each group is handed its next paper, all in one act. */
export function Kept({ grouping }: { grouping: Grouping }) {
  const client = useQueryClient()
  const papers = useQuery(ask.papers())
  const [shown, setShown] = useState(grouping)
  const [choice, setChoice] = useState<Record<string, string>>({})
  const [requests, setRequests] = useState(() => requestsFor(grouping))
  const [conditions, setConditions] = useState(PLAIN_CONDITIONS)
  const [busy, setBusy] = useState(false)
  const [at, setAt] = useState<string | null>(null)
  const member = shown.groups.flatMap((g) => g.members).find((m) => m.studentId === at)
  useEffect(() => setShown(grouping), [grouping])
  const published = papers.data?.papers.filter((p) => p.editionId) ?? []
  const chosen = Object.entries(choice).filter(([, edition]) => edition !== '')
  const known = (editionId: string | undefined) => {
    const out = shown.keysOut.find((one) => one.editionId === editionId)
    return out
      ? `${plural(out.questions, 'question')} of ${out.from.map((title) => `“${title}”`).join(' and ')}, whose keys are out.`
      : undefined
  }
  const show = (next: Grouping) => {
    setShown(next)
    client.setQueryData(['grouping', grouping.id], next)
  }
  const move = async (studentId: string, groupId: string, reason?: string) =>
    show(
      await take(
        api.POST('/api/groupings/{id}/moves', {
          params: { path: { id: grouping.id ?? '' } },
          body: { studentId, groupId, ...(reason === undefined ? {} : { reason }) },
        }),
      ),
    )
  const onMove = async (studentId: string, to: number) => {
    const from = shown.groups.find((g) => g.members.some((m) => m.studentId === studentId))
    const member = from?.members.find((m) => m.studentId === studentId)
    const target = shown.groups[to]
    if (!member || !from?.id || !target?.id || target.id === from.id) return
    const back = from.id
    await move(studentId, target.id)
    toast(`${member.name} is in “${target.name}” now.`, { undo: () => void move(studentId, back, member.reason) })
  }
  const takeBack = async (ids: string[]) => {
    try {
      for (const id of ids) await take(api.DELETE('/api/handouts/{id}', { params: { path: { id } } }))
      toast(`${plural(ids.length, 'follow-up')} taken back.`)
    } catch (thrown) {
      const problem = problemOf(thrown)
      toast(`${problem.message} ${problem.detail}`, { bad: true })
    }
    await Promise.all(['grouping', 'groupings', 'handouts'].map((key) => client.invalidateQueries({ queryKey: [key] })))
  }
  const handOut = async () => {
    setBusy(true)
    try {
      const next = await take(
        api.POST('/api/groupings/{id}/follow-ups', {
          params: { path: { id: grouping.id ?? '' } },
          body: {
            groups: chosen.map(([groupId, editionId]) => ({ groupId, editionId, requestId: requests[groupId] ?? '' })),
            conditions,
          },
        }),
      )
      show(next)
      setChoice({})
      // The same paper may go to the same group once more, later and on purpose.
      setRequests(requestsFor(next))
      void client.invalidateQueries({ queryKey: ['handouts'] })
      void client.invalidateQueries({ queryKey: ['groupings'] })
      const before = new Set(shown.groups.flatMap((g) => g.handouts.map((h) => h.id)))
      const made = next.groups.flatMap((g) => g.handouts.map((h) => h.id)).filter((id) => !before.has(id))
      toast(`Follow-ups handed to ${plural(chosen.length, 'group')}. Their times are set in Handouts.`, {
        undo: () => void takeBack(made),
      })
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
        note={`${aimWords(shown.aim)}, from “${shown.handout}” · ${shown.madeAt ? moment(shown.madeAt) : ''} by ${shown.madeBy ?? ''}`}
      >
        <Button kind="do" disabled={busy || chosen.length === 0} onClick={() => void handOut()}>
          {chosen.length === 0 ? 'Hand out follow-ups' : `Hand out to ${plural(chosen.length, 'group')}`}
        </Button>
      </Head>
      <Desk
        rightLabel="Why here"
        right={
          member ? (
            <WhyHere
              key={member.studentId}
              handoutId={shown.handoutId}
              member={member}
              groups={shown.groups}
              onMove={(to) => void onMove(member.studentId, to)}
            />
          ) : (
            <p className="text-quiet">Choose a student to see why they stand where they stand.</p>
          )
        }
      >
        <div className="p-6">
          <section className="mb-5 max-w-3xl rounded border bg-sheet p-4" aria-label="Follow-ups">
            <h2 className="text-lg">What is each group handed next?</h2>
            <div className="mt-2 grid gap-3 sm:grid-cols-2">
              {shown.groups.map((g) => (
                <SelectField
                  key={g.id}
                  label={`${g.name}, ${plural(g.members.length, 'student')}`}
                  value={choice[g.id ?? ''] ?? ''}
                  onChange={(value) => setChoice({ ...choice, [g.id ?? '']: value })}
                  note={known(choice[g.id ?? ''])}
                  options={[
                    { value: '', label: 'nothing' },
                    ...published.map((p) => ({ value: p.editionId ?? '', label: p.title })),
                  ]}
                />
              ))}
            </div>
            {chosen.length > 0 ? (
              <div className="mt-4 grid items-end gap-3 border-t pt-3 sm:grid-cols-2">
                <PlanField
                  label="What students are told"
                  tells={conditions.feedback}
                  onTells={(feedback) => setConditions({ ...conditions, feedback })}
                />
                <div className="flex flex-col">
                  <Tick
                    label="A second attempt, the best counts"
                    checked={conditions.attempts === 2}
                    onChange={(on) => setConditions({ ...conditions, attempts: on ? 2 : 1 })}
                  />
                  <Tick
                    label="Options in a different order for each student"
                    checked={conditions.shuffleOptions}
                    onChange={(on) => setConditions({ ...conditions, shuffleOptions: on })}
                  />
                </div>
              </div>
            ) : null}
          </section>
          <Board
            groups={shown.groups}
            chosen={at}
            onChoose={setAt}
            onMove={(student, to) => void onMove(student, to)}
          />
        </div>
      </Desk>
    </>
  )
}
