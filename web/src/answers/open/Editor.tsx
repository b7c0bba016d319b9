import type { Schemas } from '@/lib/api/client'
import type { EditorProps } from '../kinds'
import { Button } from '@/ui/Button'
import { TermSelect } from '@/ui/TermSelect'
import { ExactField } from '@/ui/ExactField'
import { TextField } from '@/ui/Field'
import { replaced, without } from '../parts/Lines'

export default function Editor({ rule, onChange }: EditorProps<'open'>) {
  return (
    <fieldset className="flex flex-col gap-4">
      <legend className="text-sm font-semibold">Rubric: the levels’ points are added and scaled to the marks</legend>
      {rule.criteria.map((criterion, i) => {
        const set = (next: Schemas['Criterion']) => onChange({ criteria: replaced(rule.criteria, i, next) })
        return (
          <div key={i} className="rounded border p-3">
            <div className="flex items-end gap-3">
              <div className="flex-1">
                <TextField
                  label={`Criterion ${i + 1}`}
                  value={criterion.name}
                  onChange={(e) => set({ ...criterion, name: e.target.value })}
                />
              </div>
              <Button
                kind="quiet"
                size="small"
                onClick={() => onChange({ criteria: without(rule.criteria, i) })}
                aria-label={`Remove criterion ${i + 1}`}
              >
                Remove
              </Button>
            </div>
            {criterion.levels.map((level, j) => {
              const name = `level ${j + 1} of ${criterion.name}`
              const setLevel = (change: Partial<Schemas['Level']>) =>
                set({ ...criterion, levels: replaced(criterion.levels, j, { ...level, ...change }) })
              return (
                <div key={j} className="mt-2 grid grid-cols-[4rem_1fr_1fr_auto] items-center gap-2">
                  <ExactField
                    label={`Points of ${name}`}
                    hideLabel
                    value={level.points}
                    onChange={(points) => setLevel({ points })}
                  />
                  <TextField
                    label={`Descriptor of ${name}`}
                    hideLabel
                    placeholder="what such work looks like"
                    value={level.descriptor}
                    onChange={(e) => setLevel({ descriptor: e.target.value })}
                  />
                  <TermSelect
                    kind="misconceptions"
                    label={`Misconception shown by ${name}`}
                    hideLabel
                    value={level.misconception}
                    onChange={(misconception) => setLevel({ misconception })}
                  />
                  <Button
                    kind="quiet"
                    size="small"
                    aria-label={`Remove ${name}`}
                    onClick={() => set({ ...criterion, levels: without(criterion.levels, j) })}
                  >
                    Remove
                  </Button>
                </div>
              )
            })}
            <Button
              size="small"
              className="mt-2"
              disabled={criterion.levels.length >= 10}
              onClick={() =>
                set({
                  ...criterion,
                  levels: [
                    ...criterion.levels,
                    { points: String(criterion.levels.length), descriptor: '', misconception: null },
                  ],
                })
              }
            >
              Add a level
            </Button>
          </div>
        )
      })}
      <div>
        <Button
          disabled={rule.criteria.length >= 8}
          onClick={() =>
            onChange({
              criteria: [
                ...rule.criteria,
                {
                  name: '',
                  levels: [
                    { points: '0', descriptor: '', misconception: null },
                    { points: '1', descriptor: '', misconception: null },
                  ],
                },
              ],
            })
          }
        >
          Add a criterion
        </Button>
      </div>
    </fieldset>
  )
}
