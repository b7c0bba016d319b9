import { useState } from 'react'
import { useNavigate, useSearchParams } from 'react-router'
import { useQueryClient } from '@tanstack/react-query'
import * as z from 'zod/mini'
import { api, take } from '@/lib/api/client'
import { asked, useForm } from '@/lib/form'
import { FRAME } from '@/lib/framed'
import { sessionResumed } from '@/lib/session'
import { Button } from '@/ui/Button'
import { TextField } from '@/ui/Field'
import { FaultLine } from '@/ui/States'
import { later } from '@/ui/later'
import { InFrame, joiningIsKept } from './InFrame'
import { secretOf, SlipSecret } from './SlipSecret'
import { afterJoining } from './ToJoin'

const JoinByAccount = later(() => import('./JoinByAccount').then((it) => it.JoinByAccount))

/** Where students come in. */
export default function Join() {
  const [params] = useSearchParams()
  const navigate = useNavigate()
  const client = useQueryClient()
  const [refused, setRefused] = useState(false)
  const goOn = async () => {
    if (FRAME && !(await joiningIsKept())) return setRefused(true)
    sessionResumed()
    client.clear()
    void navigate(afterJoining(params.get('to')))
  }
  return (
    <main className="mx-auto flex min-h-dvh max-w-md flex-col justify-center gap-6 p-5 text-lg">
      <h1 className="relative border-x-2 border-line px-5 py-5 text-3xl">
        <span aria-hidden className="absolute -inset-x-0.5 bottom-1 h-[7px] bg-rung" />
        Join your class
      </h1>
      <JoinForm code={params.get('code') ?? ''} onJoined={() => void goOn()} />
      {FRAME ? <InFrame refused={refused} /> : null}
    </main>
  )
}

const shape = z.object({
  code: asked('Type the class code.'),
  name: asked('Type your name.'),
  pin: asked('Type your PIN.'),
})

/** The way in: by what stands on the slip, or by an account of one's own. */
export function JoinForm({ code, onJoined }: { code: string; onJoined: () => void }) {
  const [byAccount, setByAccount] = useState(false)
  return (
    <div className="flex flex-col gap-2">
      {byAccount ? <JoinByAccount onJoined={onJoined} /> : <JoinBySlip code={code} onJoined={onJoined} />}
      <Button className="min-h-11" kind="quiet" onClick={() => setByAccount(!byAccount)}>
        {byAccount ? 'I have a class code' : 'I have an account of my own'}
      </Button>
    </div>
  )
}

/** Class code, name and PIN, or three pictures in its place. */
function JoinBySlip({ code: known, onJoined }: { code: string; onJoined: () => void }) {
  const [byPictures, setByPictures] = useState(false)
  const form = useForm({
    shape,
    start: { code: known, name: '', pin: '' },
    send: async ({ code, name, pin }) => {
      await take(api.POST('/api/join', { body: { code, name, ...secretOf(pin, byPictures) } }))
      onJoined()
    },
  })
  const big = 'min-h-12 text-lg'
  return (
    <form onSubmit={(e) => void form.submit(e)} className="flex flex-col gap-4">
      <TextField
        label="Class code"
        className={`${big} font-mono uppercase`}
        maxLength={20}
        autoCapitalize="characters"
        autoComplete="off"
        {...form.field('code')}
        autoFocus={!known}
      />
      <TextField
        label="Your name, as on your slip"
        className={big}
        maxLength={120}
        autoComplete="name"
        {...form.field('name')}
        autoFocus={Boolean(known)}
      />
      <SlipSecret
        field={form.field('pin')}
        value={form.values.pin}
        byPictures={byPictures}
        onPictures={(typed) => form.set('pin', typed)}
        onTurn={setByPictures}
      />
      <FaultLine error={form.refusal} />
      <Button kind="do" size="large" type="submit" disabled={form.busy}>
        Join
      </Button>
    </form>
  )
}
