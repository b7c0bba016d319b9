import { Radios } from '@/ui/Radios'
import type { EditorProps } from '../kinds'
import { Line, Meaning, Credit, LEFT_OUT, replaced, without } from '../parts/Lines'
import { LineNumber } from '../parts/LineNumber'
import { Things } from '../parts/Things'
import { plainOf } from '../parts/values'
import { Button } from '@/ui/Button'
import { SelectField } from '@/ui/Select'

const MOST = 30

/** Things in their right order, which students get mixed; wrong orders that show an idea stand below. */
export default function Editor({ rule, onChange }: EditorProps<'order'>) {
  const { things, lines } = rule
  const setThings = (next: typeof things) =>
    onChange({
      ...rule,
      things: next,
      // A wrong order goes on to hold the same things.
      lines: lines.map((l) => ({
        ...l,
        order: [
          ...l.order.filter((id) => next.some((t) => t.id === id)),
          ...next.filter((t) => !l.order.includes(t.id)).map((t) => t.id),
        ],
      })),
    })
  const nameOf = (id: string) => plainOf(things.find((t) => t.id === id)?.text ?? '') || 'empty'
  return (
    <fieldset>
      <legend className="text-sm text-quiet">In the right order; students get them mixed</legend>
      <Things
        what="step"
        things={things}
        onChange={setThings}
        placeholder="what stands here"
        first="t"
        most={MOST}
        mark={(i) => <LineNumber of={i} />}
      />
      {lines.length > 0 ? <p className="pt-4 text-sm text-quiet">Wrong orders worth knowing</p> : null}
      {lines.map((written, i) => {
        const line = { ...LEFT_OUT, ...written }
        const what = `wrong order ${i + 1}`
        const set = (change: Partial<typeof line>) =>
          onChange({ ...rule, lines: replaced(lines, i, { ...line, ...change }) })
        return (
          <Line
            key={i}
            what={what}
            mark={<LineNumber of={i} />}
            onRemove={() => onChange({ ...rule, lines: without(lines, i) })}
          >
            <div className="flex flex-wrap items-center gap-2">
              {line.order.map((id, place) => (
                <SelectField
                  key={place}
                  label={`Place ${place + 1} of ${what}`}
                  hideLabel
                  size="place"
                  wide={false}
                  value={id}
                  // Whatever stood there changes places with it.
                  onChange={(next) =>
                    set({ order: line.order.map((one) => (one === next ? id : one === id ? next : one)) })
                  }
                  options={things.map((t) => ({ value: t.id, label: nameOf(t.id) }))}
                />
              ))}
              <Credit what={what} value={line.credit} onChange={(credit) => set({ credit })} />
            </div>
            <Meaning what={what} line={line} set={set} />
          </Line>
        )
      })}
      <Button
        kind="quiet"
        size="small"
        className="mt-2 -ml-2"
        disabled={things.length < 2}
        onClick={() =>
          onChange({
            ...rule,
            lines: [
              ...lines,
              { order: things.map((t) => t.id).reverse(), credit: '0', feedback: '', misconception: null },
            ],
          })
        }
      >
        Add a wrong order worth knowing
      </Button>
      <div className="pt-3 text-[15px]">
        <Radios
          label="What earns credit"
          value={rule.mode}
          onChange={(mode) => onChange({ ...rule, mode })}
          options={[
            { value: 'exact', label: 'The whole order alone' },
            { value: 'pairs', label: 'Each neighbour that follows as it should' },
            { value: 'sequence', label: 'The longest part that stands in the right order' },
          ]}
        />
      </div>
    </fieldset>
  )
}
