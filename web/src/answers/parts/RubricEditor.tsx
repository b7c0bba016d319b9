import type { Schemas } from '@/lib/api/client'
import { Button } from '@/ui/Button'
import { NumberField } from '@/ui/NumberField'
import { TextField } from '@/ui/Field'
import { Idea, Line, NextLine, replaced, without } from './Lines'

const LEVELS = 10
const CRITERIA = 8
type Level = Schemas['Level']
type Criterion = Schemas['Criterion']

/** A new rubric: one thing that is looked for, seen or not. */
const blankRubric = (): Criterion[] => [
  {
    name: '',
    levels: [
      { points: '0', descriptor: '', misconception: null },
      { points: '1', descriptor: '', misconception: null },
    ],
  },
]

/** What a person marks by: criteria with their levels, written in place. */
export function RubricEditor({
  criteria,
  onChange,
}: {
  criteria: Criterion[]
  onChange: (criteria: Criterion[]) => void
}) {
  return (
    <fieldset className="flex flex-col gap-5">
      <legend className="text-sm text-quiet">Rubric: the levels’ points are added and scaled to the marks</legend>
      {criteria.map((criterion, i) => {
        const set = (next: Criterion) => onChange(replaced(criteria, i, next))
        const level = (descriptor: string, n: number): Level => ({ points: String(n), descriptor, misconception: null })
        return (
          <div key={i}>
            <div className="flex items-center gap-3">
              <div className="flex-1">
                <TextField
                  label={`Criterion ${i + 1}`}
                  hideLabel
                  inPlace
                  className="font-head text-lg font-semibold"
                  placeholder="what is looked for, such as: cause"
                  value={criterion.name}
                  onChange={(e) => set({ ...criterion, name: e.target.value })}
                />
              </div>
              <Button
                kind="quiet"
                size="small"
                onClick={() => onChange(without(criteria, i))}
                aria-label={`Remove criterion ${i + 1}`}
              >
                Remove
              </Button>
            </div>
            <div className="mt-1">
              {criterion.levels.map((one, j) => {
                const name = `level ${j + 1} of ${criterion.name}`
                const setLevel = (change: Partial<Level>) =>
                  set({ ...criterion, levels: replaced(criterion.levels, j, { ...one, ...change }) })
                return (
                  <Line
                    key={j}
                    what={name}
                    onRemove={() => set({ ...criterion, levels: without(criterion.levels, j) })}
                    mark={
                      <span className="w-12">
                        <NumberField
                          label={`Points of ${name}`}
                          hideLabel
                          inPlace
                          className="text-center font-bold"
                          value={one.points}
                          onChange={(points) => setLevel({ points })}
                        />
                      </span>
                    }
                  >
                    <div className="flex flex-wrap items-center gap-x-3">
                      <div className="min-w-48 flex-1">
                        <TextField
                          label={`Descriptor of ${name}`}
                          hideLabel
                          inPlace
                          placeholder="what such work looks like"
                          value={one.descriptor}
                          onChange={(e) => setLevel({ descriptor: e.target.value })}
                        />
                      </div>
                      <Idea
                        what={name}
                        misconception={one.misconception}
                        onMisconception={(misconception) => setLevel({ misconception })}
                      />
                    </div>
                  </Line>
                )
              })}
              {criterion.levels.length < LEVELS ? (
                <NextLine
                  label={`Next level of ${criterion.name || `criterion ${i + 1}`}`}
                  placeholder="Type what the next level looks like, or paste a list"
                  mark={<span className="w-12 pt-1 text-center text-quiet">{criterion.levels.length}</span>}
                  onLines={(lines) =>
                    set({
                      ...criterion,
                      levels: [
                        ...criterion.levels,
                        ...lines.map((line, k) => level(line, criterion.levels.length + k)),
                      ].slice(0, LEVELS),
                    })
                  }
                />
              ) : null}
            </div>
          </div>
        )
      })}
      <div>
        <Button disabled={criteria.length >= CRITERIA} onClick={() => onChange([...criteria, ...blankRubric()])}>
          Add a criterion
        </Button>
      </div>
    </fieldset>
  )
}
