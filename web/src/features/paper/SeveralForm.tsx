import { plural } from '@/lib/format'
import { Button } from '@/ui/Button'
import { NumberField } from '@/ui/NumberField'
import { SelectField } from '@/ui/Select'
import { Tick } from '@/ui/Tick'
import type { Paper } from './draft'
import { severalChanged, severalOut, severalPlaced } from './several'

/** What can be done with several parts at once. */
export function SeveralForm({
  paper,
  chosen,
  onChange,
  onLetGo,
}: {
  paper: Paper
  chosen: readonly string[]
  onChange: (paper: Paper) => void
  onLetGo: () => void
}) {
  const entries = paper.sections.flatMap((s) => s.entries).filter((e) => chosen.includes(e.id))
  const questions = entries.flatMap((e) => (e.kind === 'question' ? [e] : []))
  const worth = new Set(questions.map((q) => q.points))
  const pinned = questions.filter((q) => q.pinned).length
  return (
    <section aria-label="Several parts" className="flex flex-col gap-3 border-b pb-5">
      <div className="flex items-baseline gap-3">
        <h2 className="flex-1 text-lg">{plural(chosen.length, 'part')} chosen</h2>
        <Button size="small" onClick={onLetGo}>
          Let go
        </Button>
      </div>
      <SelectField
        label="Move them to the end of"
        value=""
        onChange={(id) => id && onChange(severalPlaced(paper, chosen, id, null))}
        options={[
          { value: '', label: 'choose a section' },
          ...paper.sections.map((s) => ({ value: s.id, label: s.title || 'Section' })),
        ]}
      />
      {questions.length > 0 ? (
        <>
          <NumberField
            key={chosen.join()}
            label={`Marks for each of ${plural(questions.length, 'question')}`}
            value={worth.size === 1 ? [...worth][0]! : ''}
            onChange={(points) => points && onChange(severalChanged(paper, chosen, { points }))}
          />
          <Tick
            label="Pinned"
            checked={pinned === 0 ? false : pinned === questions.length ? true : 'some'}
            onChange={(on) => onChange(severalChanged(paper, chosen, { pinned: on }))}
          />
        </>
      ) : null}
      <div>
        <Button
          size="small"
          onClick={() => {
            onChange(severalOut(paper, chosen))
            onLetGo()
          }}
        >
          Take {plural(chosen.length, 'part')} out
        </Button>
      </div>
    </section>
  )
}
