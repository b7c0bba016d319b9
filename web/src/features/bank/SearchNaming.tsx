import * as z from 'zod/mini'
import { asked, useForm } from '@/lib/form'
import { Button } from '@/ui/Button'
import { TextField } from '@/ui/Field'
import { FaultLine } from '@/ui/States'

const shape = z.object({ name: asked('Give it a name.') })

/** What a search is to be called that is kept. */
export function SearchNaming({ onKeep, onLeave }: { onKeep: (name: string) => Promise<void>; onLeave: () => void }) {
  const form = useForm({ shape, start: { name: '' }, send: ({ name }) => onKeep(name) })
  return (
    <form
      className="flex flex-col gap-1 px-2 pt-1"
      onSubmit={(e) => void form.submit(e)}
      onKeyDown={(e) => e.key === 'Escape' && onLeave()}
    >
      <TextField
        label="Name of the search"
        hideLabel
        autoFocus
        maxLength={60}
        placeholder="hard, not used yet"
        {...form.field('name')}
      />
      <div className="flex gap-1">
        <Button type="submit" size="small" disabled={form.busy}>
          Keep
        </Button>
        <Button kind="quiet" size="small" onClick={onLeave}>
          Leave it
        </Button>
      </div>
      <FaultLine error={form.problem} />
    </form>
  )
}
