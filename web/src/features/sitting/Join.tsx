import { useState } from 'react'
import { useNavigate, useSearchParams } from 'react-router'
import { useQueryClient } from '@tanstack/react-query'
import * as z from 'zod/mini'
import { api, take } from '@/lib/api/client'
import { asked, useForm } from '@/lib/form'
import { sessionResumed } from '@/lib/session'
import { Button } from '@/ui/Button'
import { TextField } from '@/ui/Field'
import { FaultLine } from '@/ui/States'
import { later } from '@/ui/later'
import { afterJoining } from './ToJoin'

const PicturePad = later(() => import('./PicturePad').then((it) => it.PicturePad))

/** Class code, name and PIN, as on the slip. */
export default function Join() {
  const [params] = useSearchParams()
  const navigate = useNavigate()
  const client = useQueryClient()
  return (
    <main className="mx-auto flex min-h-dvh max-w-md flex-col justify-center gap-6 p-5 text-lg">
      <h1 className="relative border-x-2 border-line px-5 py-5 text-3xl">
        <span aria-hidden className="absolute -inset-x-0.5 bottom-1 h-[7px] bg-rung" />
        Join your class
      </h1>
      <JoinForm
        code={params.get('code') ?? ''}
        onJoined={() => {
          sessionResumed()
          client.clear()
          void navigate(afterJoining(params.get('to')))
        }}
      />
    </main>
  )
}

const shape = z.object({
  code: asked('Type the class code.'),
  name: asked('Type your name.'),
  pin: asked('Type your PIN.'),
})

/** What is asked for: class code, name and PIN, or three pictures in its place. */
export function JoinForm({ code: known, onJoined }: { code: string; onJoined: () => void }) {
  const [byPictures, setByPictures] = useState(false)
  const form = useForm({
    shape,
    start: { code: known, name: '', pin: '' },
    send: async (typed) => {
      const { code, name, pin } = typed
      await take(api.POST('/api/join', { body: byPictures ? { code, name, pictures: pin.split(' ') } : typed }))
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
      {byPictures ? (
        <PicturePad
          value={form.values.pin.split(' ').filter(Boolean)}
          fault={form.fault('pin')}
          onChange={(things) => form.set('pin', things.join(' '))}
        />
      ) : (
        <TextField
          label="PIN"
          className={`${big} font-mono`}
          maxLength={20}
          inputMode="numeric"
          autoComplete="off"
          {...form.field('pin')}
        />
      )}
      <Button
        className="min-h-11"
        kind="quiet"
        onClick={() => {
          form.set('pin', '')
          setByPictures(!byPictures)
        }}
      >
        {byPictures ? 'I have a PIN' : 'I have three pictures'}
      </Button>
      <FaultLine error={form.refusal} />
      <Button kind="do" size="large" type="submit" disabled={form.busy}>
        Join
      </Button>
    </form>
  )
}
