import { useQuery, useQueryClient } from '@tanstack/react-query'
import { memo, useState, type ReactNode } from 'react'
import * as z from 'zod/mini'
import { api, take, type Schemas } from '@/lib/api/client'
import { dropUnsaved, keepUnsaved, unsaved } from '@/lib/drafts/device'
import { asked, useForm } from '@/lib/form'
import { plural } from '@/lib/format'
import { toLocal, writeMoment } from '@/lib/locale'
import { Button } from './Button'
import { AreaField } from './Field'
import { Fold } from './Fold'
import { SelectField } from './Select'
import { FaultLine, Failed } from './States'
import { sorry } from './sorry'

type Remark = Schemas['BankRemarkView']

const shape = z.object({ text: asked('Write something first.'), part: z.string() })

/** What is talked about, and what of it a remark can be pinned to, as one speaks of it. */
export type About = { on: 'items' | 'papers'; id: string; parts: readonly { value: string; label: string }[] }

/** What the team says about a question or paper: pinned to a part of it, open until somebody settles it. */
export const Talk = memo(function Talk({ about, under: Heading = 'h2' }: { about: About; under?: 'h2' | 'h3' }) {
  const client = useQueryClient()
  const { on, id, parts } = about
  const key = ['remarks', on, id]
  const talk = useQuery({
    queryKey: key,
    queryFn: () =>
      take(
        on === 'items'
          ? api.GET('/api/items/{id}/remarks', { params: { path: { id } } })
          : api.GET('/api/papers/{id}/remarks', { params: { path: { id } } }),
      ),
  })
  // One that was sent and not answered is the same one when it is sent again.
  const [fresh, setFresh] = useState(() => crypto.randomUUID())
  const seen = (view: Schemas['BankRemarksView']) => {
    client.setQueryData(key, view)
    void client.invalidateQueries({ queryKey: [on] })
  }
  const act = (does: Promise<Schemas['BankRemarksView']>) => void does.then(seen).catch(sorry)
  const path = (remark: Remark) => ({ params: { path: { id: remark.id } } })
  const all = talk.data?.remarks ?? []
  const open = all.filter((r) => r.settledBy === null)
  const settled = all.filter((r) => r.settledBy !== null)
  return (
    <section aria-label="Talk" className="flex flex-col gap-2 text-[15px]">
      <Heading className={Heading === 'h2' ? 'text-lg' : 'text-base'}>Talk</Heading>
      {talk.isError ? <Failed error={talk.error} retry={() => void talk.refetch()} /> : null}
      <ul className="flex flex-col gap-2">
        {open.map((remark) => (
          <Said key={remark.id} remark={remark} parts={parts}>
            <Button size="small" onClick={() => act(take(api.POST('/api/remarks/{id}/settle', path(remark))))}>
              Settled
            </Button>
            {remark.own ? (
              <Button
                kind="quiet"
                size="small"
                onClick={() => act(take(api.DELETE('/api/remarks/{id}', path(remark))))}
              >
                Take out
              </Button>
            ) : null}
          </Said>
        ))}
      </ul>
      {settled.length > 0 ? (
        <Fold label={`${plural(settled.length, 'settled remark')}`}>
          <ul className="flex flex-col gap-2 pt-1">
            {settled.map((remark) => (
              <Said key={remark.id} remark={remark} parts={parts}>
                <span className="text-sm text-quiet">settled by {remark.settledBy}</span>
                <Button
                  kind="quiet"
                  size="small"
                  onClick={() => act(take(api.POST('/api/remarks/{id}/reopen', path(remark))))}
                >
                  Open it again
                </Button>
              </Said>
            ))}
          </ul>
        </Fold>
      ) : null}
      <Say
        key={fresh}
        remark={fresh}
        about={about}
        onSaid={(view) => {
          seen(view)
          setFresh(crypto.randomUUID())
        }}
      />
    </section>
  )
})

type Parts = About['parts']

/** Where the next remark is written; it stays as it is typed until it is said. */
function Say({
  remark,
  about: { on, id, parts },
  onSaid,
}: {
  remark: string
  about: About
  onSaid: (view: Schemas['BankRemarksView']) => void
}) {
  const place = `remark-${id}`
  const [start] = useState(() => unsaved<{ text: string; part: string }>(place) ?? { text: '', part: '' })
  const form = useForm({
    shape,
    start,
    send: async (typed) => {
      const params = { path: { id } }
      const body = { id: remark, ...typed }
      const view = await take(
        on === 'items'
          ? api.POST('/api/items/{id}/remarks', { params, body })
          : api.POST('/api/papers/{id}/remarks', { params, body }),
      )
      dropUnsaved(place)
      onSaid(view)
    },
  })
  const { text, part } = form.values
  return (
    <form className="flex flex-col gap-2" onSubmit={(e) => void form.submit(e)}>
      <AreaField
        label="A remark to the team"
        hideLabel
        rows={2}
        maxLength={2000}
        placeholder="A remark to the team; students never see it"
        value={text}
        onChange={(e) => {
          keepUnsaved(place, { text: e.target.value, part })
          form.set('text', e.target.value)
        }}
        fault={form.fault('text')}
      />
      {text.trim() === '' ? null : (
        <div className="flex flex-wrap items-end gap-2">
          <SelectField
            label="It is about"
            hideLabel
            wide={false}
            value={parts.some((p) => p.value === part) ? part : ''}
            onChange={(next) => {
              keepUnsaved(place, { text, part: next })
              form.set('part', next)
            }}
            options={parts}
          />
          <Button type="submit" size="small" disabled={form.busy}>
            Say it
          </Button>
        </div>
      )}
      <FaultLine error={form.problem} />
    </form>
  )
}

function Said({ remark, parts, children }: { remark: Remark; parts: Parts; children: ReactNode }) {
  const about = remark.part === '' ? null : (parts.find((p) => p.value === remark.part)?.label ?? 'a part that is gone')
  return (
    <li className="border-t pt-2">
      <p className="text-sm text-quiet">
        <b className="text-ink">{remark.by}</b>
        {about ? ` on ${about}` : ''}, {writeMoment(toLocal(remark.at))}
      </p>
      <p className="break-words whitespace-pre-wrap">{remark.text}</p>
      <div className="flex flex-wrap items-center gap-1">{children}</div>
    </li>
  )
}
