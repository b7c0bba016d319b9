import { useState } from 'react'
import { Given } from '@/answers/Answer'
import { WorkingGiven } from '@/answers/Working'
import { Link } from 'react-router'
import { api, take, type Schemas } from '@/lib/api/client'
import { moment } from '@/lib/format'
import { SourcePage } from '@/media/SourcePage'
import { Rich } from '@/lib/Rich'
import { Button } from '@/ui/Button'
import { AreaField } from '@/ui/Field'
import { Fold } from '@/ui/Fold'
import { Main } from './Main'
import { FaultLine } from '@/ui/States'
import { Told } from '@/answers/Told'

type View = Schemas['SittingSittingView']

/** Work that has been handed in, and what was returned with it. */
export function Returned({ view, onReplied }: { view: View; onReplied: (view: View) => void }) {
  return (
    <div className="min-h-dvh bg-sheet text-[18px]">
      <header className="flex items-center gap-3 border-b px-4 py-3 text-[15px] text-quiet">
        <span className="flex-1 truncate">{view.title}</span>
        <Link to="/my" className="text-blue underline">
          My work
        </Link>
      </header>
      <Main className="mx-auto max-w-2xl px-4 py-5">
        <h1 className="font-head text-2xl font-semibold">
          {view.state === 'returned' ? 'Returned to you' : 'Handed in'}
        </h1>
        <p className="mt-1 text-quiet">
          {view.handedInAt ? `Handed in ${moment(view.handedInAt)}. ` : ''}
          {view.coming}
        </p>
        {view.marks !== null ? (
          <p className="mt-4">
            <span className="font-head text-4xl font-semibold">{view.marks}</span>{' '}
            <span className="text-quiet">
              of {view.of} {view.of === '1' ? 'mark' : 'marks'}
            </span>
          </p>
        ) : null}
        {view.message ? <p className="mt-3 rounded border border-blue p-3">{view.message}</p> : null}
        <ol className="mt-5">
          {view.steps
            .filter((s) => s.face)
            .map((s) => (
              <li key={`${s.entry}-${s.try}`} className="border-t py-4">
                <div className="flex gap-3">
                  <b className="font-head text-xl">{s.number}</b>
                  <div className="min-w-0 flex-1">
                    <Rich html={s.face?.prompt ?? ''} />
                    {view.sources
                      .filter((source) => s.beside.includes(source.entry))
                      .map((source) => (
                        <div key={source.entry} className="mt-1">
                          <Fold label={source.title || 'What it was read with'}>
                            <SourcePage source={source} looks={looksOf(s, source.entry)} />
                          </Fold>
                        </div>
                      ))}
                    <div className="mt-2">
                      <p className="text-[15px] text-quiet">Your answer{s.try > 1 ? `, try ${s.try}` : ''}</p>
                      {s.face ? <Given face={s.face} value={s.value} /> : null}
                      <WorkingGiven value={s.working} />
                      {s.corrected !== null ? (
                        <p className="mt-1 text-[15px] text-blue">Corrected by your teacher: {s.corrected}</p>
                      ) : null}
                    </div>
                    <Told step={s} />
                  </div>
                </div>
              </li>
            ))}
        </ol>
        {view.state === 'returned' ? <Reply view={view} onReplied={onReplied} /> : null}
      </Main>
    </div>
  )
}

/** Where a question looks in one of its sources. */
const looksOf = (step: View['steps'][number], source: string) =>
  step.looksAt?.source === source ? [{ entry: step.entry, number: step.number, current: true, at: step.looksAt }] : []

function Reply({ view, onReplied }: { view: View; onReplied: (view: View) => void }) {
  const [text, setText] = useState('')
  const [error, setError] = useState<unknown>(null)
  if (view.reply !== null) {
    return (
      <p className="border-t py-4">
        <b>Your reply</b>
        <br />
        {view.reply}
      </p>
    )
  }
  const send = async () => {
    setError(null)
    try {
      onReplied(
        await take(api.POST('/api/me/sittings/{id}/reply', { params: { path: { id: view.id } }, body: { text } })),
      )
    } catch (thrown) {
      setError(thrown)
    }
  }
  return (
    <div className="flex flex-col gap-3 border-t py-4">
      <AreaField
        label="Reply to your teacher, once"
        rows={3}
        maxLength={2000}
        value={text}
        onChange={(e) => setText(e.target.value)}
      />
      <FaultLine error={error} />
      <div>
        <Button kind="do" disabled={text.trim() === ''} onClick={() => void send()}>
          Send the reply
        </Button>
      </div>
    </div>
  )
}
