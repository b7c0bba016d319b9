import { useQuery, useQueryClient } from '@tanstack/react-query'
import { lazy, Suspense, useState } from 'react'
import { Link, useNavigate } from 'react-router'
import * as z from 'zod/mini'
import { ask } from '@/lib/queries'
import { api, take, type Schemas } from '@/lib/api/client'
import { asked, useForm } from '@/lib/form'
import { moment, plural } from '@/lib/format'
import { standing, useHandouts, type Handout } from '@/lib/handouts'
import { Aside } from '@/ui/Aside'
import { Button } from '@/ui/Button'
import { Dialog } from '@/ui/Dialog'
import { TextField } from '@/ui/Field'
import { ListDesk } from '@/ui/ListDesk'
import { Empty, Failed, FaultLine, Loading } from '@/ui/States'

// Once a year.
const SchoolFiles = lazy(() => import('./SchoolFiles'))

type Row = Schemas['RosterClassRowView']

export default function ClassList() {
  const list = useQuery(ask.classes())
  const handouts = useHandouts()
  const of = (one: Row) => handouts.data?.handouts.filter((h) => h.classes.includes(one.name)) ?? []
  const [adding, setAdding] = useState(false)
  const [filing, setFiling] = useState<boolean | null>(null)
  return (
    <>
      <ListDesk
        title="Classes"
        note={list.data ? plural(list.data.classes.length, 'class', 'classes') : ''}
        label="The team’s classes"
        acts={
          <>
            <Button onClick={() => setFiling(true)}>From the school’s files</Button>
            <Button kind="do" hint="n" onClick={() => setAdding(true)}>
              New class
            </Button>
          </>
        }
        keys={{ n: { label: 'New class', run: () => setAdding(true) } }}
        list={{ ...list, data: list.data?.classes }}
        first={{ by: 'name', down: false }}
        words={(c) => c.name}
        to={(c) => `/classes/${c.id}`}
        columns={[
          // One's own classes stand first.
          { id: 'name', head: 'Class', cell: (c) => c.name, sort: (c) => `${c.mine ? 0 : 1} ${c.name}` },
          { id: 'code', head: 'Code', cell: (c) => <span className="font-mono">{c.code}</span> },
          { id: 'students', head: 'Students', cell: (c) => c.students, sort: (c) => c.students, right: true },
          {
            id: 'teachers',
            head: 'Whose',
            cell: (c) => c.teachers || <span className="text-quiet">everybody’s</span>,
            sort: (c) => c.teachers,
            wide: true,
          },
          {
            id: 'open',
            head: 'Open now',
            cell: (c) => of(c).filter((h) => h.status === 'open').length || <span className="text-quiet">–</span>,
            sort: (c) => of(c).filter((h) => h.status === 'open').length,
            right: true,
            wide: true,
          },
          {
            id: 'last',
            head: 'Last handed',
            cell: (c) => {
              const last = of(c)[0]
              return last ? `${last.title}, ${moment(last.madeAt)}` : <span className="text-quiet">nothing yet</span>
            },
            sort: (c) => of(c)[0]?.madeAt ?? null,
            wide: true,
          },
        ]}
        empty={
          <Empty title="No class yet">
            <p>Name a class, then paste its list of names; or take all classes from the school’s files.</p>
          </Empty>
        }
        panel={(c) => <ClassAside of={c} handouts={of(c)} />}
      />
      <NewClass open={adding} onClose={() => setAdding(false)} />
      {filing === null ? null : (
        <Suspense>
          <SchoolFiles open={filing} onClose={() => setFiling(false)} />
        </Suspense>
      )}
    </>
  )
}

/** A class beside the list: who is in it, and what it has been handed. */
function ClassAside({ of, handouts }: { of: Row; handouts: readonly Handout[] }) {
  const roster = useQuery(ask.roster(of.id))
  return (
    <Aside title={of.name} note={`code ${of.code} · ${plural(of.students, 'student')}`} to={`/classes/${of.id}`}>
      <section>
        <h3 className="text-base">What has it been handed?</h3>
        {handouts.length === 0 ? <p className="text-quiet">Nothing yet.</p> : null}
        <ul>
          {handouts.slice(0, 6).map((h) => (
            <li key={h.id} className="flex gap-2 border-b py-1">
              <Link
                to={h.status === 'open' ? `/lookout/${h.id}` : `/results/${h.id}`}
                className="min-w-0 flex-1 text-blue underline"
              >
                {h.title}
              </Link>
              <span className="text-quiet">{standing(h)}</span>
            </li>
          ))}
        </ul>
      </section>
      <section>
        <h3 className="text-base">Who is in it?</h3>
        {roster.isPending ? <Loading what="Reading the list" /> : null}
        {roster.isError ? <Failed error={roster.error} retry={() => void roster.refetch()} /> : null}
        <ul className="mt-1 columns-2 gap-4 text-sm">
          {roster.data?.students.map((s) => (
            <li key={s.id} className="break-inside-avoid py-0.5">
              {s.name}
            </li>
          ))}
        </ul>
      </section>
    </Aside>
  )
}

const shape = z.object({ name: asked('Give the class a name.') })

function NewClass({ open, onClose }: { open: boolean; onClose: () => void }) {
  const navigate = useNavigate()
  const client = useQueryClient()
  const form = useForm({
    shape,
    start: { name: '' },
    send: async (body) => {
      const made = await take(api.POST('/api/classes', { body }))
      void client.invalidateQueries({ queryKey: ['classes'] })
      void navigate(`/classes/${made.id}`)
    },
  })
  return (
    <Dialog
      open={open}
      onClose={onClose}
      title="New class"
      foot={
        <Button kind="do" type="submit" form="new-class" disabled={form.busy}>
          Make the class
        </Button>
      }
    >
      <form id="new-class" onSubmit={(e) => void form.submit(e)}>
        <TextField label="Name" {...form.field('name')} autoFocus />
        <FaultLine error={form.problem} />
      </form>
    </Dialog>
  )
}
