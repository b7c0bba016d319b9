import { NumberField } from '@/ui/NumberField'
import { TextField } from '@/ui/Field'
import { Pick } from '@/ui/Pick'
import { Tick } from '@/ui/Tick'
import type { EditorProps } from '../kinds'
import { Credit, Line, Meaning, replaced, without } from '../parts/Lines'
import { LineNumber } from '../parts/LineNumber'
import { Board, type Tool } from './Board'
import { type Axis } from './grid'
import { drawnTargets, replotted, targetAt, targetInWords, type Target } from './targets'

const MOST = 60
const FIELDS = {
  point: [
    ['x', 'x'],
    ['y', 'y'],
  ],
  line: [
    ['slope', 'slope'],
    ['intercept', 'intercept'],
  ],
  upright: [['x', 'x']],
  interval: [
    ['from', 'from'],
    ['to', 'to'],
  ],
} as const

/** The grid as students will see it: the key is plotted on it, and wrong plots that show an idea. */
export default function Editor({ rule, onChange }: EditorProps<'plot'>) {
  const { ground, targets } = rule
  const flat = !ground.up
  const tools: Tool[] = flat ? ['point', 'interval'] : ['point', 'line']
  const set = (next: Target[]) => onChange({ ...rule, targets: next })
  const setAt = (i: number, change: Partial<Target>) => set(replaced(targets, i, { ...targets[i]!, ...change }))
  const axis = { label: '', from: '0', to: '10', step: '1', snap: '1' }
  return (
    <fieldset className="flex flex-col gap-4">
      <legend className="sr-only">Grid and key</legend>
      <div className="flex flex-wrap items-center gap-x-6 gap-y-2">
        <Pick
          label="What is plotted on"
          options={[
            { value: 'grid', label: 'Grid' },
            { value: 'line', label: 'Number line' },
          ]}
          value={flat ? 'line' : 'grid'}
          onChange={(kind) =>
            onChange({
              targets: [],
              ground:
                kind === 'line'
                  ? { across: ground.across, line: true, curve: false }
                  : { across: ground.across, up: axis, curve: ground.curve },
            })
          }
        />
        {flat ? null : (
          <Tick
            label="A curve is drawn through the points"
            checked={ground.curve}
            onChange={(curve) => onChange({ ...rule, ground: { ...ground, curve } })}
          />
        )}
      </div>
      <AxisFields
        name={flat ? 'Line' : 'Across'}
        axis={ground.across}
        onChange={(across) => onChange({ ...rule, ground: { ...ground, across } })}
      />
      {ground.up ? (
        <AxisFields name="Up" axis={ground.up} onChange={(up) => onChange({ ...rule, ground: { ...ground, up } })} />
      ) : null}
      <p className="text-sm text-quiet">
        Plot the key as a student would; then what a wrong idea would plot, and give that line no credit.
      </p>
      <Board
        grid={ground}
        drawn={drawnTargets(targets, ground)}
        tools={tools}
        label="The key on its grid"
        look="key"
        isWrong={(list, at) => targetAt(targets, list, at)?.credit === '0'}
        onDrawn={(drawn) => set(replotted(targets, ground, drawn).slice(0, MOST))}
      />
      <div>
        {targets.map((target, i) => {
          const what = targetInWords(target, flat)
          return (
            <Line key={i} what={what} mark={<LineNumber of={i} />} onRemove={() => set(without(targets, i))}>
              <div className="flex flex-wrap items-end gap-x-3 gap-y-1">
                <b className="min-w-32 pb-1">{what}</b>
                {FIELDS[target.kind].map(([member, name]) =>
                  member === 'y' && flat ? null : (
                    <Small
                      key={member}
                      label={name}
                      value={target[member] ?? '0'}
                      onChange={(value) => setAt(i, { [member]: value })}
                    />
                  ),
                )}
                <Small
                  label="give or take"
                  value={target.tolerance}
                  onChange={(tolerance) => setAt(i, { tolerance })}
                />
                <Credit what={what} value={target.credit} onChange={(credit) => setAt(i, { credit })} />
                {target.credit === '0' || targets.length === 1 ? null : (
                  <Tick
                    label="instead of another"
                    checked={target.also ?? false}
                    onChange={(also) => setAt(i, { also })}
                  />
                )}
              </div>
              <Meaning what={what} line={target} set={(change) => setAt(i, change)} />
            </Line>
          )
        })}
      </div>
    </fieldset>
  )
}

const Small = ({ label, value, onChange }: { label: string; value: string; onChange: (value: string) => void }) => (
  <div className="w-20">
    <NumberField label={label} value={value} onChange={onChange} />
  </div>
)

function AxisFields({ name, axis, onChange }: { name: string; axis: Axis; onChange: (axis: Axis) => void }) {
  return (
    <div role="group" aria-label={`${name}: axis`} className="flex flex-wrap items-end gap-3">
      <div className="min-w-40 flex-1">
        <TextField
          label={`${name}: what it counts`}
          placeholder="hours after high water"
          maxLength={80}
          value={axis.label}
          onChange={(e) => onChange({ ...axis, label: e.target.value })}
        />
      </div>
      <Small label="from" value={axis.from} onChange={(from) => onChange({ ...axis, from })} />
      <Small label="to" value={axis.to} onChange={(to) => onChange({ ...axis, to })} />
      <Small label="a line every" value={axis.step} onChange={(step) => onChange({ ...axis, step })} />
      <Small label="marks snap to" value={axis.snap} onChange={(snap) => onChange({ ...axis, snap })} />
    </div>
  )
}
