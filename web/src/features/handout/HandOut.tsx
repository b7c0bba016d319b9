import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query'
import { useState, type FormEvent } from 'react'
import { Link, useNavigate, useSearchParams } from 'react-router'
import { api, problemOf, take } from '@/lib/api/client'
import { fromLocalInput, plural } from '@/lib/format'
import { FEEDBACK_PLANS, PLAIN_CONDITIONS } from '@/lib/conditions'
import { Button } from '@/ui/Button'
import { Head } from '@/ui/Desk'
import { TextField } from '@/ui/Field'
import { SelectField } from '@/ui/Select'
import { Tick } from '@/ui/Tick'
import { Empty, Failed, FaultLine, Loading } from '@/ui/States'
import { toast } from '@/ui/Toasts'
import { Radios } from '@/ui/Radios'
import { useWithdraw } from './useWithdraw'
import { WindowFields, type Typed } from './WindowFields'

/** Gives a published paper to classes or single students, under conditions. */
export default function HandOut() {
  const [params] = useSearchParams()
  const navigate = useNavigate()
  const client = useQueryClient()
  const papers = useQuery({ queryKey: ['papers'], queryFn: () => take(api.GET('/api/papers')) })
  const classes = useQuery({ queryKey: ['classes'], queryFn: () => take(api.GET('/api/classes')) })
  const [editionId, setEditionId] = useState(params.get('edition') ?? '')
  const [chosen, setChosen] = useState<string[]>([])
  const [single, setSingle] = useState('')
  const [students, setStudents] = useState<Record<string, string>>({})
  const roster = useQuery({
    queryKey: ['class', single],
    queryFn: () => take(api.GET('/api/classes/{id}', { params: { path: { id: single } } })),
    enabled: single !== '',
  })
  const [conditions, setConditions] = useState(PLAIN_CONDITIONS)
  const [when, setWhen] = useState<Typed>({ visible: true, opens: '', closes: '' })
  const [requestId] = useState(() => crypto.randomUUID())
  const published = papers.data?.papers.filter((p) => p.editionId) ?? []
  const handOut = useMutation({
    mutationFn: () =>
      take(
        api.POST('/api/handouts', {
          body: {
            editionId,
            classes: chosen,
            students: Object.keys(students),
            conditions,
            visible: when.visible,
            opensAt: fromLocalInput(when.opens),
            closesAt: fromLocalInput(when.closes),
            requestId,
          },
        }),
      ),
    onSuccess: (made) => {
      void client.invalidateQueries({ queryKey: ['handouts'] })
      toast(`Handed out to ${plural(made.expected, 'student')}.`, { undo: () => void takeBack(made.id) })
      void navigate(when.visible ? `/lookout/${made.id}` : '/handouts')
    },
  })
  const takeBack = useWithdraw()
  const returning = published.find((p) => p.editionId === editionId)?.returns ?? false
  const problem = handOut.error ? problemOf(handOut.error) : null
  if (papers.isPending || classes.isPending) return <Loading />
  if (papers.isError || classes.isError) return <Failed error={papers.error ?? classes.error} />
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
    Object.keys(students).length
  const target = [
    chosen.length > 0 ? plural(chosen.length, 'class', 'classes') : '',
    Object.keys(students).length > 0 ? plural(Object.keys(students).length, 'student') : '',
  ]
    .filter(Boolean)
    .join(' and ')
  const submit = (e: FormEvent) => {
    e.preventDefault()
    handOut.mutate()
  }
  const group = 'rounded border bg-sheet p-5'
  return (
    <>
      <Head title="Hand out" note={count > 0 ? `to ${plural(count, 'student')}` : ''} />
      <form onSubmit={submit} className="min-h-0 flex-1 overflow-auto">
        <div className="grid max-w-5xl gap-5 p-6 lg:grid-cols-2">
          <fieldset className={`${group} flex flex-col gap-3`}>
            <legend className="px-1 font-head text-lg font-semibold">What, and to whom</legend>
            <SelectField
              label="Paper"
              value={editionId}
              onChange={setEditionId}
              fault={problem?.fields.editionId}
              options={[
                { value: '', label: 'Choose a published paper' },
                ...published.map((p) => ({ value: p.editionId ?? '', label: `${p.title}, edition ${p.edition}` })),
              ]}
            />
            <div role="group" aria-label="Classes">
              <p className="text-sm font-semibold">Classes</p>
              {classes.data.classes.map((c) => (
                <Tick
                  key={c.id}
                  label={`${c.name}, ${plural(c.students, 'student')}`}
                  checked={chosen.includes(c.id)}
                  onChange={(on) => setChosen(on ? [...chosen, c.id] : chosen.filter((x) => x !== c.id))}
                />
              ))}
              {classes.data.classes.length === 0 ? <p className="text-quiet">No class yet.</p> : null}
              {problem?.fields.classes ? (
                <p className="text-sm font-semibold text-bad">✕ {problem.fields.classes}</p>
              ) : null}
            </div>
            <SelectField
              label="or single students of"
              value={single}
              onChange={setSingle}
              options={[
                { value: '', label: 'no single students' },
                ...classes.data.classes.map((c) => ({ value: c.id, label: c.name })),
              ]}
            />
            {single && roster.data ? (
              <div className="max-h-56 overflow-auto rounded border p-2" role="group" aria-label="Students">
                {roster.data.students.map((s) => (
                  <Tick
                    key={s.id}
                    label={s.name}
                    checked={s.id in students}
                    onChange={(on) => {
                      const next = { ...students }
                      if (on) next[s.id] = s.name
                      else delete next[s.id]
                      setStudents(next)
                    }}
                  />
                ))}
              </div>
            ) : null}
            {Object.keys(students).length > 0 ? (
              <p className="text-[15px]">{Object.values(students).join(', ')}</p>
            ) : null}
          </fieldset>
          <fieldset className={`${group} flex flex-col gap-3`}>
            <legend className="px-1 font-head text-lg font-semibold">When</legend>
            <WindowFields typed={when} onChange={setWhen} faults={problem?.fields} />
            <div className="grid grid-cols-2 gap-3">
              <TextField
                label="Attempts"
                type="number"
                min={1}
                max={20}
                value={conditions.attempts}
                onChange={(e) =>
                  setConditions({ ...conditions, attempts: Math.max(1, Math.min(20, Number(e.target.value) || 1)) })
                }
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
          </fieldset>
          <fieldset className={`${group} lg:col-span-2`}>
            <legend className="px-1 font-head text-lg font-semibold">What students are told, and when</legend>
            <Radios
              label="What students are told, and when"
              hideLabel
              value={conditions.feedback}
              onChange={(feedback) => setConditions({ ...conditions, feedback })}
              options={FEEDBACK_PLANS.map((plan) => ({ value: plan.id, label: plan.label, note: plan.note }))}
            />
            {returning && conditions.feedback !== 'at once' ? (
              <p role="note" className="mt-2 border-l-4 border-l-rust pl-3 text-[15px]">
                This paper has students come back to questions that are not right. Whatever they are told, meeting a
                question again says that the first answer was not right.
              </p>
            ) : null}
          </fieldset>
          <div className="flex items-center gap-4 lg:col-span-2">
            <Button kind="do" type="submit" disabled={handOut.isPending || !editionId || count === 0}>
              Hand out{target ? ` to ${target}` : ''}
            </Button>
            {problem && Object.keys(problem.fields).length === 0 ? <FaultLine error={problem} /> : null}
          </div>
        </div>
      </form>
    </>
  )
}
