import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query'
import { useState } from 'react'
import { Link, useNavigate } from 'react-router'
import { api, problemOf, take } from '@/lib/api/client'
import { plural } from '@/lib/format'
import { useKeys } from '@/lib/keys'
import { Button } from '@/ui/Button'
import { Head } from '@/ui/Desk'
import { Dialog } from '@/ui/Dialog'
import { TextField } from '@/ui/Field'
import { Empty, Failed, Loading } from '@/ui/States'

export default function ClassList() {
  const list = useQuery({ queryKey: ['classes'], queryFn: () => take(api.GET('/api/classes')) })
  const [adding, setAdding] = useState(false)
  useKeys({ n: { label: 'New class', run: () => setAdding(true) } })
  return (
    <>
      <Head title="Classes" note={list.data ? plural(list.data.classes.length, 'class', 'classes') : ''}>
        <Button kind="do" hint="n" onClick={() => setAdding(true)}>
          New class
        </Button>
      </Head>
      <div className="min-h-0 flex-1 overflow-auto">
        {list.isPending ? <Loading /> : null}
        {list.isError ? <Failed error={list.error} retry={() => void list.refetch()} /> : null}
        {list.data?.classes.length === 0 ? (
          <Empty title="No class yet">
            <p>Name a class, then paste its list of names.</p>
          </Empty>
        ) : null}
        {list.data && list.data.classes.length > 0 ? (
          <table className="w-full max-w-3xl">
            <caption className="sr-only">The team’s classes</caption>
            <thead>
              <tr className="border-b text-left text-sm text-quiet">
                <th scope="col" className="py-2 pl-6 font-medium">
                  Class
                </th>
                <th scope="col" className="px-2 font-medium">
                  Code
                </th>
                <th scope="col" className="px-2 font-medium">
                  Students
                </th>
              </tr>
            </thead>
            <tbody>
              {list.data.classes.map((one) => (
                <tr key={one.id} className="border-b hover:bg-pale">
                  <td className="py-2.5 pl-6">
                    <Link className="font-semibold hover:underline" to={`/classes/${one.id}`}>
                      {one.name}
                    </Link>
                  </td>
                  <td className="px-2 font-mono">{one.code}</td>
                  <td className="px-2 tabular-nums">{one.students}</td>
                </tr>
              ))}
            </tbody>
          </table>
        ) : null}
      </div>
      <NewClass open={adding} onClose={() => setAdding(false)} />
    </>
  )
}

function NewClass({ open, onClose }: { open: boolean; onClose: () => void }) {
  const [name, setName] = useState('')
  const navigate = useNavigate()
  const client = useQueryClient()
  const create = useMutation({
    mutationFn: () => take(api.POST('/api/classes', { body: { name } })),
    onSuccess: (made) => {
      void client.invalidateQueries({ queryKey: ['classes'] })
      void navigate(`/classes/${made.id}`)
    },
  })
  const problem = create.error ? problemOf(create.error) : null
  return (
    <Dialog
      open={open}
      onClose={onClose}
      title="New class"
      foot={
        <Button kind="do" disabled={create.isPending} onClick={() => create.mutate()}>
          Make the class
        </Button>
      }
    >
      <form
        onSubmit={(e) => {
          e.preventDefault()
          if (!create.isPending && !create.isSuccess) create.mutate()
        }}
      >
        <TextField
          label="Name"
          value={name}
          onChange={(e) => setName(e.target.value)}
          fault={problem?.fields.name ?? problem?.message}
          autoFocus
        />
      </form>
    </Dialog>
  )
}
