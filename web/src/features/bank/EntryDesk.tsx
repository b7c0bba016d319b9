import { keepPreviousData, useQuery, useQueryClient } from '@tanstack/react-query'
import { useRef, useState } from 'react'
import { useNavigate } from 'react-router'
import * as z from 'zod/mini'
import { answerOf } from '@/answers/registry'
import { api, take, type Schemas } from '@/lib/api/client'
import { dropUnsaved, keepUnsaved, unsaved } from '@/lib/drafts/device'
import { asked, useForm } from '@/lib/form'
import { inMarks, plural } from '@/lib/format'
import { useSettled } from '@/lib/settled'
import { Button } from '@/ui/Button'
import { Desk, Head } from '@/ui/Desk'
import { AreaField } from '@/ui/Field'
import { Fold } from '@/ui/Fold'
import { FaultLine } from '@/ui/States'
import { Tabs } from '@/ui/Tabs'
import { TextFile } from '@/ui/TextFile'
import { toast } from '@/ui/toast'
import { ItemCard } from './ItemCard'

type Read = Schemas['BankNotedQuestionView']

const PLACE = 'entry'
const shape = z.object({ text: asked('Type or paste some questions first.'), table: z.boolean() })
const START = { text: '', table: false }

const EXAMPLE = `Two hours after high water, how high is the tide? [2]
v 4.2 m
x 3.9 m ! Count twelfths, not hours.

What is the falling tide called?
= ebb`

/** What each sign says, beside where it is typed. */
const SIGNS: readonly (readonly [sign: string, says: string])[] = [
  ['Which buoy? [2]', 'what is asked, and its marks'],
  ['v red', 'an option that is right'],
  ['x green', 'an option that is wrong'],
  ['= ebb', 'words that are right'],
  ['= 3.5 ± 0.1 km', 'a number, what is near enough, a unit'],
  ['1/2 = ebbing', 'what earns a part'],
  ['! Count twelfths.', 'behind an answer: what a student is told'],
  ['# mixes up sides', 'behind an answer: the idea it shows'],
  ['> It falls [3.1 m].', 'a passage with gaps'],
  ['== (x + 1)^2', 'equal as an expression'],
  ['1. high water', 'things in their order'],
  ['red -> port', 'pairs'],
  ['| Hour | [2] |', 'a table; brackets are asked'],
  ['mark for Cause', 'a rubric, levels below: 2: says why'],
  ['hint: Look.', 'help; hint 1/4: costs a quarter'],
  ['let h = 2 to 5', 'a number of each student’s own: {h}'],
]

/** Questions typed as fast as on paper, or pasted from a table: what would be made of them stands beside, and is kept all or none. */
export default function EntryDesk() {
  const navigate = useNavigate()
  const client = useQueryClient()
  const area = useRef<HTMLTextAreaElement>(null)
  const [{ requestId: before, ...first }] = useState(
    () => unsaved<typeof START & { requestId?: string }>(PLACE) ?? { ...START, requestId: undefined },
  )
  const [requestId, setRequestId] = useState(() => before ?? crypto.randomUUID())
  const form = useForm({
    shape,
    start: first,
    send: async (typed) => {
      const { ids } = await take(api.POST('/api/items/notes/keep', { body: { ...typed, requestId } }))
      dropUnsaved(PLACE)
      void client.invalidateQueries({ queryKey: ['items'] })
      toast(`${plural(ids.length, 'question')} kept in the bank.`)
      void navigate('/bank')
    },
  })
  const { text, table } = form.values
  const set = (change: Partial<typeof START>) => {
    // Another text is another request: only the same one, sent again, is kept once.
    const request = crypto.randomUUID()
    setRequestId(request)
    keepUnsaved(PLACE, { text, table, ...change, requestId: request })
    if (change.text !== undefined) form.set('text', change.text)
    if (change.table !== undefined) form.set('table', change.table)
  }
  const waiting = useSettled(text)
  const read = useQuery({
    queryKey: ['notes', waiting, table],
    queryFn: () => take(api.POST('/api/items/notes', { body: { text: waiting, table } })),
    enabled: waiting.trim() !== '',
    placeholderData: keepPreviousData,
    retry: false,
    gcTime: 0,
  })
  const questions = text.trim() === '' ? [] : (read.data?.questions ?? [])
  const faulty = questions.filter((q) => q.faults.length > 0).length
  const toLine = (line: number) => {
    const at =
      text
        .split('\n')
        .slice(0, line - 1)
        .join('\n').length + (line > 1 ? 1 : 0)
    const end = text.indexOf('\n', at)
    area.current?.focus()
    area.current?.setSelectionRange(at, end < 0 ? text.length : end)
  }
  return (
    <form className="flex min-h-0 flex-1 flex-col" onSubmit={(e) => void form.submit(e)}>
      <Head
        title="Type in questions"
        note={
          questions.length === 0
            ? ''
            : `${plural(questions.length, 'question')}${faulty > 0 ? `, ${faulty} of them cannot be read yet` : ''}`
        }
      >
        <Button onClick={() => void navigate('/bank')}>Back to bank</Button>
        <Button kind="do" type="submit" disabled={form.busy || questions.length === 0 || faulty > 0}>
          {questions.length === 0 ? 'Keep in the bank' : `Keep ${plural(questions.length, 'question')}`}
        </Button>
      </Head>
      <Desk
        leftLabel="How it is written"
        left={table ? <Columns /> : <Signs />}
        rightLabel="What becomes of it"
        right={
          <section aria-live="off">
            <h2 className="text-lg">What becomes of it</h2>
            <FaultLine error={read.error} />
            {questions.length === 0 ? (
              <p className="mt-2 text-[15px] text-quiet">Each question appears here as it will be read.</p>
            ) : (
              <ol>
                {questions.map((one) => (
                  <Made key={one.line} one={one} onLine={toLine} />
                ))}
              </ol>
            )}
          </section>
        }
      >
        <div className="flex flex-col gap-3 p-6">
          <Tabs
            look="segments"
            label="What is typed"
            value={table ? 'table' : 'notes'}
            onChange={(to) => set({ table: to === 'table' })}
            tabs={[
              { value: 'notes', label: 'Notes' },
              { value: 'table', label: 'A table' },
            ]}
          >
            <div className="mt-3 flex flex-col gap-3">
              <AreaField
                ref={area}
                label={
                  table ? 'The table, its first row naming the columns' : 'Questions, with a blank line between them'
                }
                className="min-h-[60vh] font-mono text-[15px] leading-6 [font-variant-ligatures:none]"
                spellCheck={false}
                placeholder={table ? 'question,marks,right,wrong 1,wrong 2\nWhich buoy?,2,red,green,yellow' : EXAMPLE}
                value={text}
                onChange={(e) => set({ text: e.target.value })}
                fault={form.fault('text')}
              />
              {table ? (
                <TextFile
                  label="or a CSV file"
                  accept=".csv,.tsv,.txt,text/csv,text/plain"
                  onText={(next) => set({ text: next })}
                />
              ) : null}
            </div>
          </Tabs>
          <FaultLine error={form.problem} />
        </div>
      </Desk>
    </form>
  )
}

function Made({ one, onLine }: { one: Read; onLine: (line: number) => void }) {
  return (
    <li className="border-b py-3">
      <p className="flex items-baseline gap-2 text-sm text-quiet">
        <button
          type="button"
          className="inline-block min-h-6 underline hover:text-ink"
          onClick={() => onLine(one.line)}
        >
          line {one.line}
        </button>
        {one.item ? (
          <span>
            {answerOf(one.item.type)} · {inMarks(one.item.points)}
          </span>
        ) : null}
      </p>
      {one.item ? <ItemCard item={one.item} showKey /> : null}
      {one.faults.map((fault, i) => (
        <p key={i} className="text-[15px] font-semibold text-bad">
          ✕{' '}
          <button type="button" className="inline-block min-h-6 underline" onClick={() => onLine(fault.line)}>
            Line {fault.line}
          </button>
          : {fault.message}
        </p>
      ))}
      {one.defects.map((defect) => (
        <p key={defect.message} className={`text-sm ${defect.blocks ? 'font-semibold text-bad' : 'text-quiet'}`}>
          {defect.blocks ? '✕ ' : ''}
          {defect.message}
        </p>
      ))}
    </li>
  )
}

const FIRST = 9

function Signs() {
  const list = (signs: typeof SIGNS) => (
    <dl>
      {signs.map(([sign, says]) => (
        <div key={sign} className="border-b py-1">
          <dt className="font-mono text-sm [font-variant-ligatures:none]">{sign}</dt>
          <dd className="text-sm text-quiet">{says}</dd>
        </div>
      ))}
    </dl>
  )
  return (
    <div className="text-[15px]">
      <p className="mb-2 text-quiet">
        What is asked stands first, what is right below it. Ticks and crosses as on paper.
      </p>
      {list(SIGNS.slice(0, FIRST))}
      <div className="pt-2">
        <Fold label={`${SIGNS.length - FIRST} more signs`}>{list(SIGNS.slice(FIRST))}</Fold>
      </div>
    </div>
  )
}

function Columns() {
  return (
    <div className="text-[15px]">
      <p className="mb-2 text-quiet">One question a row. The first row names the columns, in any order:</p>
      <dl>
        {[
          ['question', 'what is asked; it must be there'],
          ['right', 'what is right; further ones: right 2 …'],
          ['wrong 1, wrong 2 …', 'with these, it is a choice'],
          ['marks, title, skill', 'left empty: 1 mark'],
          ['hint, because', 'help, and why'],
        ].map(([sign, says]) => (
          <div key={sign} className="border-b py-1">
            <dt className="font-mono text-sm [font-variant-ligatures:none]">{sign}</dt>
            <dd className="text-sm text-quiet">{says}</dd>
          </div>
        ))}
      </dl>
      <p className="mt-2 text-sm text-quiet">
        Behind an answer may stand “ ! ” and what a student is told, “ # ” and the idea it shows.
      </p>
    </div>
  )
}
