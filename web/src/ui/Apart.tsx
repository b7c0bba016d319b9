import { useState } from 'react'
import type { Draft, DraftLine } from '@/lib/drafts/draft'
import { placeOf, type Side } from '@/lib/drafts/merge'
import { tellClash } from '@/lib/drafts/words'
import { Button } from './Button'
import { Radios } from './Radios'

/** Where two people changed the same: both side by side, one to be taken each. All else of both is in already. */
export function Apart<T>({ draft, line }: { draft: Draft<T>; line: Extract<DraftLine<T>, { kind: 'apart' }> }) {
  const [picks, setPicks] = useState<Record<string, Side>>({})
  const all = (side: Side) => Object.fromEntries(line.clashes.map((clash) => [placeOf(clash.path), side]))
  return (
    <section role="alert" aria-label="Changed by two" className="border-b bg-sheet px-5 py-3">
      <p className="font-semibold">
        {line.problem.message} Both of you changed the same; what else changed is brought together.
      </p>
      <div className="mt-2 flex max-h-72 flex-col gap-3 overflow-auto">
        {line.clashes.map((clash) => {
          const place = placeOf(clash.path)
          const told = tellClash(clash, draft.value)
          return (
            <Radios<Side>
              key={place}
              label={`The ${told.what}`}
              value={picks[place] ?? 'mine'}
              onChange={(side) => setPicks({ ...picks, [place]: side })}
              sideBySide
              options={[
                { value: 'mine', label: told.mine, note: 'yours' },
                { value: 'theirs', label: told.theirs, note: 'the newer one' },
              ]}
            />
          )
        })}
      </div>
      <p className="mt-3 flex flex-wrap gap-2">
        <Button kind="do" size="small" onClick={() => draft.settle(picks)}>
          Keep what is picked
        </Button>
        <Button size="small" onClick={() => draft.settle(all('theirs'))}>
          Open the newer one
        </Button>
      </p>
    </section>
  )
}
