import { useState } from 'react'
import { problemOf, type Schemas } from '@/lib/api/client'
import { Button } from '@/ui/Button'
import { AreaField } from '@/ui/Field'
import { FaultLine } from '@/ui/States'
import { useTeamSetting } from './useTeamSetting'

/** The pages of others, such as the school's, that may show a piece of work in a frame. */
export function FramedBy({ view }: { view: Schemas['IdentityAccountView'] }) {
  const [typed, setTyped] = useState<string | null>(null)
  const lines = typed ?? view.framedBy.join('\n')
  const set = useTeamSetting('framedBy', view.framedBy, (pages) =>
    pages.length === 0 ? 'No other page may show your work now.' : 'These pages may show your work in a frame.',
  )
  const fault = set.error ? problemOf(set.error).fields['framedBy'] : undefined
  return (
    <section aria-labelledby="frames">
      <h2 id="frames" className="border-b pb-2 text-lg">
        Pages that may show work in a frame
      </h2>
      <form
        className="mt-3 flex max-w-sm flex-col items-start gap-3"
        onSubmit={(e) => {
          e.preventDefault()
          const pages = lines.split('\n').flatMap((line) => line.trim() || [])
          set.mutate(pages, { onSuccess: () => setTyped(null) })
        }}
      >
        <div className="w-full">
          <AreaField
            label="Their addresses, one in a line"
            note="Such as https://pages.school.example. Only what you name here can hold a frame with your students’ work; the code for it stands at a handout, under Link."
            rows={3}
            className="font-mono text-[15px]"
            spellCheck={false}
            fault={fault}
            value={lines}
            onChange={(e) => setTyped(e.target.value)}
          />
        </div>
        {fault ? null : <FaultLine error={set.error} />}
        <Button type="submit" disabled={set.isPending}>
          Keep these pages
        </Button>
      </form>
    </section>
  )
}
