import { useQuery, useQueryClient } from '@tanstack/react-query'
import { useState } from 'react'
import { Link, useNavigate, useSearchParams } from 'react-router'
import * as z from 'zod/mini'
import { ask } from '@/lib/queries'
import { api, take } from '@/lib/api/client'
import { useForm } from '@/lib/form'
import { plural } from '@/lib/format'
import type { Handout } from '@/lib/handouts'
import { fromLocal, toLocal } from '@/lib/locale'
import { inManner, MANNERS, mannerOf, PLAIN_CONDITIONS, TOOLS } from '@/lib/conditions'
import type { Moment } from '@/lib/telling'
import { Button } from '@/ui/Button'
import { Combobox } from '@/ui/Combobox'
import { CountField } from '@/ui/CountField'
import { Desk, Head } from '@/ui/Desk'
import { PlanField } from '@/ui/PlanField'
import { SelectField } from '@/ui/Select'
import { Tick } from '@/ui/Tick'
import { Empty, Failed, FaultLine, Loading } from '@/ui/States'
import { toast } from '@/ui/toast'
import { moved } from './moved'
import { OneStudent } from './OneStudent'
import { OwnPlan } from './OwnPlan'
import { TellingRail } from './TellingRail'
import { TimeField } from './TimeField'
import { ToWhom } from './ToWhom'
import { usePlanSaid } from './usePlanSaid'
import { useWithdraw } from './useWithdraw'
import { WindowFields, windowShape } from './WindowFields'

const shape = z.object({
  editionId: z.string(),
  classes: z.array(z.string()),
  students: z.record(z.string(), z.string()),
  without: z.record(z.string(), z.record(z.string(), z.string())),
  conditions: z.custom<typeof PLAIN_CONDITIONS>(),
  ...windowShape,
})

/** Gives a published paper to classes or single students, under conditions; the same again where another handout is named. */
export default function HandOut() {
  const [params] = useSearchParams()
  const like = params.get('like')
  const handouts = useQuery({ ...ask.handouts(), enabled: like !== null })
  const papers = useQuery(ask.papers())
  if (like !== null && (handouts.isPending || papers.isPending)) return <Loading />
  const before = handouts.data?.handouts.find((h) => h.id === like)
  const paper = papers.data?.papers.find((p) => p.id === before?.paperId)
  return <HandOutForm key={like} before={before} editionId={paper?.editionId ?? params.get('edition') ?? ''} />
}

function HandOutForm({ before, editionId: first }: { before: Handout | undefined; editionId: string }) {
  const navigate = useNavigate()
  const client = useQueryClient()
  const papers = useQuery(ask.papers())
  const classes = useQuery(ask.classes())
  const [at, setAt] = useState<Moment>('handed in')
  const [requestId] = useState(() => crypto.randomUUID())
  const [times] = useState(() => moved(before ?? { opensAt: null, closesAt: null }))
  const form = useForm({
    shape,
    start: {
      editionId: first,
      classes: [],
      students: {},
      without: {},
      conditions: before?.conditions ?? PLAIN_CONDITIONS,
      visible: before?.visible ?? true,
      opensAt: toLocal(times.opensAt),
      closesAt: toLocal(times.closesAt),
    } as z.infer<typeof shape>,
    send: async (typed) => {
      const made = await take(
        api.POST('/api/handouts', {
          body: {
            ...typed,
            students: Object.keys(typed.students),
            without: typed.classes.flatMap((id) => Object.keys(typed.without[id] ?? {})),
            opensAt: fromLocal(typed.opensAt),
            closesAt: fromLocal(typed.closesAt),
            requestId,
          },
        }),
      )
      void client.invalidateQueries({ queryKey: ['handouts'] })
      toast(`Handed out to ${plural(made.expected, 'student')}.`, { undo: () => void takeBack(made.id) })
      void navigate(typed.visible ? `/lookout/${made.id}` : '/handouts')
    },
  })
  const { editionId, classes: chosen, students, without, conditions } = form.values
  const setConditions = (next: typeof conditions) => form.set('conditions', next)
  const published = papers.data?.papers.filter((p) => p.editionId) ?? []
  const takeBack = useWithdraw()
  const said = usePlanSaid(conditions.feedback, editionId, conditions.attempts, form.values.closesAt !== '')
  if (papers.isPending || classes.isPending) return <Loading />
  if (!papers.data || !classes.data) return <Failed error={papers.error ?? classes.error} />
  if (published.length === 0) {
    return (
      <Empty title="No paper is published yet">
        <p>A handout gives out an edition. Publish a paper first.</p>
        <Link to="/papers" className="font-semibold text-blue underline">
          To the papers
        </Link>
      </Empty>
    )
  }
  const count =
    classes.data.classes.filter((c) => chosen.includes(c.id)).reduce((sum, c) => sum + c.students, 0) +
    Object.keys(students).length -
    chosen.reduce((sum, id) => sum + Object.keys(without[id] ?? {}).length, 0)
  const target = [
    chosen.length > 0 ? plural(chosen.length, 'class', 'classes') : '',
    Object.keys(students).length > 0 ? plural(Object.keys(students).length, 'student') : '',
  ]
    .filter(Boolean)
    .join(' and ')
  const paper = published.find((p) => p.editionId === editionId)
  return (
    <form onSubmit={(e) => void form.submit(e)} className="flex min-h-0 flex-1 flex-col">
      <Head
        title={paper ? `Hand out “${paper.title}”` : 'Hand out'}
        note={
          paper
            ? `edition ${paper.edition} · ${plural(paper.questions, 'question')}${count > 0 ? ` · to ${plural(count, 'student')}` : ''}`
            : count > 0
              ? `to ${plural(count, 'student')}`
              : ''
        }
      >
        <Button kind="do" type="submit" disabled={form.busy || !editionId || count === 0}>
          Hand out{target ? ` to ${target}` : ''}
        </Button>
      </Head>
      <Desk
        leftLabel="What, and to whom"
        left={
          <div className="flex flex-col gap-5">
            <Combobox
              label="Paper"
              value={editionId}
              onChange={(id) => form.set('editionId', id)}
              fault={form.fault('editionId')}
              options={[
                { value: '', label: 'Choose a published paper' },
                ...published.map((p) => ({ value: p.editionId ?? '', label: `${p.title}, edition ${p.edition}` })),
              ]}
            />
            <ToWhom
              classes={classes.data.classes}
              chosen={chosen}
              students={students}
              without={without}
              fault={form.fault('classes')}
              onClasses={(next) => form.set('classes', next)}
              onStudents={(next) => form.set('students', next)}
              onWithout={(next) => form.set('without', next)}
            />
          </div>
        }
        rightLabel="What one of them sees"
        right={
          paper ? (
            <OneStudent paperId={paper.id} tells={conditions.feedback} at={at} coming={said} />
          ) : (
            <p className="text-quiet">Choose a paper, and here stands what a student will see of it.</p>
          )
        }
      >
        <div className="flex flex-col gap-6 p-6">
          <FaultLine error={form.problem} />
          <TellingRail
            tells={conditions.feedback}
            onTells={(feedback) => setConditions({ ...conditions, feedback })}
            at={at}
            onAt={setAt}
          />
          <div className="-mt-2 grid items-start gap-x-8 gap-y-3 sm:grid-cols-2">
            <div className="flex min-w-0 flex-col gap-2">
              <PlanField
                label="Plan"
                tells={conditions.feedback}
                onTells={(feedback) => setConditions({ ...conditions, feedback })}
              />
              <OwnPlan tells={conditions.feedback} />
            </div>
            {said && said.concerns.length > 0 ? (
              <div role="note" aria-label="About this plan" className="border border-blue px-3 py-2 text-[15px]">
                <ul className="flex flex-col gap-1">
                  {said.concerns.map((concern) => (
                    <li key={concern}>{concern}</li>
                  ))}
                </ul>
              </div>
            ) : null}
          </div>
          <div className="grid gap-x-8 gap-y-4 border-t pt-4 sm:grid-cols-2">
            <WindowFields typed={form.values} set={form.set} fault={form.fault} />
            <div className="grid grid-cols-2 gap-3">
              <CountField
                label="Attempts"
                most={20}
                value={conditions.attempts}
                onChange={(attempts) => setConditions({ ...conditions, attempts })}
              />
              <SelectField
                label="Which counts"
                disabled={conditions.attempts === 1}
                value={conditions.counts}
                onChange={(value) => setConditions({ ...conditions, counts: value })}
                options={[
                  { value: 'best', label: 'the best' },
                  { value: 'latest', label: 'the latest' },
                  { value: 'first', label: 'the first' },
                  { value: 'mean', label: 'the mean of all' },
                ]}
              />
            </div>
            <SelectField
              label="How students meet the questions"
              value={mannerOf(conditions)}
              note={MANNERS.find((m) => m.value === mannerOf(conditions))?.note}
              onChange={(manner) =>
                setConditions({
                  ...conditions,
                  ...inManner(manner),
                  // Time for each question goes with one after the other alone.
                  secondsEach: manner === 'order' ? conditions.secondsEach : null,
                })
              }
              options={MANNERS}
            />
            <TimeField conditions={conditions} onChange={(time) => setConditions({ ...conditions, ...time })} />
            <div>
              <Tick
                label="Questions in a different order for each student"
                checked={conditions.shuffleQuestions}
                onChange={(on) => setConditions({ ...conditions, shuffleQuestions: on })}
              />
              <Tick
                label="Options in a different order for each student"
                checked={conditions.shuffleOptions}
                onChange={(on) => setConditions({ ...conditions, shuffleOptions: on })}
              />
              <Tick
                label="In the room: who was not there has missed no work"
                checked={conditions.inRoom}
                onChange={(on) => setConditions({ ...conditions, inRoom: on })}
              />
            </div>
            <div>
              <Tick
                label="Pasting into answers is off"
                checked={!conditions.pasting}
                onChange={(off) => setConditions({ ...conditions, pasting: !off })}
              />
              <Tick
                label="Working is wanted: where a question asks for it, nothing is handed in without"
                checked={conditions.needsWorking}
                onChange={(on) => setConditions({ ...conditions, needsWorking: on })}
              />
              <Tick
                label="In full screen; whoever leaves it, you are told"
                checked={conditions.fullScreen}
                onChange={(on) => setConditions({ ...conditions, fullScreen: on })}
              />
              {TOOLS.map(({ tool, label }) => (
                <Tick
                  key={tool}
                  label={label}
                  checked={conditions.tools.includes(tool)}
                  onChange={(on) =>
                    setConditions({
                      ...conditions,
                      tools: on ? [...conditions.tools, tool] : conditions.tools.filter((t) => t !== tool),
                    })
                  }
                />
              ))}
            </div>
          </div>
        </div>
      </Desk>
    </form>
  )
}
