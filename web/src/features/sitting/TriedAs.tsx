import { useQuery } from '@tanstack/react-query'
import { Popover } from 'radix-ui'
import { useState } from 'react'
import { api, take } from '@/lib/api/client'
import { MANNERS, type Manner, type Tells } from '@/lib/conditions'
import { Button } from '@/ui/Button'
import { PlanField } from '@/ui/PlanField'
import { SelectField } from '@/ui/Select'

/** How a paper is tried: as anybody, or as a student who gets support; with what they will be told when. Each choice begins it anew. */
export function TriedAs({
  student,
  tells,
  manner,
  onManner,
  onAnew,
}: {
  student: string | null
  tells: Tells
  manner: Manner
  /** it goes on in another manner, with what was answered */
  onManner: (manner: Manner) => void
  onAnew: (as: { student: string | null; feedback: Tells }) => void
}) {
  const [open, setOpen] = useState(false)
  const { data } = useQuery({
    queryKey: ['classes', 'supported'],
    queryFn: () => take(api.GET('/api/classes/supported')),
  })
  const students = data?.students ?? []
  const one = students.find((s) => s.id === student)
  return (
    <Popover.Root open={open} onOpenChange={setOpen}>
      <Popover.Trigger asChild>
        <Button size="small">Tried as {one?.name ?? 'anybody'}</Button>
      </Popover.Trigger>
      <Popover.Portal>
        <Popover.Content
          align="end"
          sideOffset={6}
          className="z-50 flex w-80 max-w-[94vw] flex-col gap-3 rounded border bg-sheet p-4 shadow-float"
        >
          <SelectField
            label="As whom"
            value={student ?? ''}
            onChange={(id) => onAnew({ student: id || null, feedback: tells })}
            options={[
              { value: '', label: 'anybody' },
              ...students.map((s) => ({ value: s.id, label: `${s.name}, ${s.class}, with support` })),
            ]}
          />
          {students.length === 0 ? (
            <p className="text-sm text-quiet">Nobody gets support yet. It is given on the roster of a class.</p>
          ) : null}
          <SelectField
            label="How questions are met"
            value={manner}
            onChange={onManner}
            options={MANNERS.filter((m) => m.value !== 'order')}
          />
          <PlanField label="What is told when" tells={tells} onTells={(feedback) => onAnew({ student, feedback })} />
          <Button
            className="self-start"
            onClick={() => {
              setOpen(false)
              onAnew({ student, feedback: tells })
            }}
          >
            Begin anew
          </Button>
        </Popover.Content>
      </Popover.Portal>
    </Popover.Root>
  )
}
