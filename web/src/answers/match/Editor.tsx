import { asHtml } from '@/lib/said'
import type { Schemas } from '@/lib/api/client'
import { Button } from '@/ui/Button'
import { SelectField } from '@/ui/Select'
import { Tick } from '@/ui/Tick'
import type { EditorProps, RuleOf } from '../kinds'
import { Credit, Line, Meaning, NextLine, replaced, without } from '../parts/Lines'
import { LineNumber } from '../parts/LineNumber'
import { freshId, Things } from '../parts/Things'
import { plainOf } from '../parts/values'

const MOST = 40
const NOWHERE = ''

/** `ebb = falling`, as a pair is typed. */
const split = (line: string) => {
  const [thing = '', ...rest] = line.split(/\s+(?:=|→|–|-)\s+|\s*=\s*/)
  return { thing: thing.trim(), place: rest.join(' = ').trim() }
}

/** Adds pairs as they were typed; a place of the same words is taken again. */
export function paired(rule: RuleOf<'match'>, lines: readonly string[]): RuleOf<'match'> {
  return lines.slice(0, MOST - rule.things.length).reduce((all, line) => {
    const { thing, place } = split(line)
    const id = freshId(
      all.things.map((t) => t.id),
      't',
    )
    const things = [...all.things, { id, text: asHtml(thing) }]
    if (place === '') return { ...all, things }
    const known = all.places.find((p) => plainOf(p.text).toLowerCase() === place.toLowerCase())
    const at =
      known?.id ??
      freshId(
        all.places.map((p) => p.id),
        'p',
      )
    return {
      ...all,
      things,
      places: known ? all.places : [...all.places, { id: at, text: asHtml(place) }],
      key: [...all.key, [id, at]],
    }
  }, rule)
}

/** Things and the places they belong to; a place without a thing is a distractor. */
export default function Editor({ rule, onChange }: EditorProps<'match'>) {
  const { things, places, key, lines } = rule
  const counted = (thing: string, place: string) => key.filter((k) => k[0] === thing && k[1] === place).length
  const setCount = (thing: string, place: string, count: number) =>
    onChange({
      ...rule,
      key: [
        ...key.filter((k) => k[0] !== thing || k[1] !== place),
        ...Array.from({ length: count }, () => [thing, place]),
      ],
    })
  const goesTo = (thing: string, place: string) =>
    onChange({ ...rule, key: [...key.filter((k) => k[0] !== thing), ...(place === NOWHERE ? [] : [[thing, place]])] })
  const options = (of: Schemas['Thing'][]) => of.map((t, i) => ({ value: t.id, label: plainOf(t.text) || `${i + 1}` }))
  return (
    <fieldset>
      <legend className="text-sm text-quiet">What is matched, and where it belongs</legend>
      {things.length > 0 ? (
        <Things
          what="thing"
          things={things}
          onChange={(next) => onChange({ ...rule, things: next })}
          onRemove={(id) =>
            onChange({
              ...rule,
              things: things.filter((t) => t.id !== id),
              key: key.filter((k) => k[0] !== id),
              lines: lines.filter((l) => l.thing !== id),
            })
          }
          placeholder="what is matched"
          first="t"
          most={things.length}
          mark={(i) => <LineNumber of={i} />}
          beside={(thing, i) =>
            rule.copies ? (
              <div className="flex flex-wrap gap-2">
                {places.map((place, j) => (
                  <SelectField
                    key={place.id}
                    label={`How many of thing ${i + 1} belong to ${plainOf(place.text) || `place ${j + 1}`}`}
                    hideLabel
                    size="place"
                    wide={false}
                    value={String(counted(thing.id, place.id))}
                    onChange={(count) => setCount(thing.id, place.id, Number(count))}
                    options={Array.from({ length: 13 }, (_, n) => ({
                      value: String(n),
                      label: `${n} × ${plainOf(place.text) || `place ${j + 1}`}`,
                    }))}
                  />
                ))}
              </div>
            ) : (
              <SelectField
                label={`Where thing ${i + 1} belongs`}
                hideLabel
                size="place"
                wide={false}
                value={key.find((k) => k[0] === thing.id)?.[1] ?? NOWHERE}
                onChange={(place) => goesTo(thing.id, place)}
                options={[{ value: NOWHERE, label: 'belongs nowhere' }, ...options(places)]}
              />
            )
          }
        />
      ) : null}
      <NextLine
        label="Next pair"
        placeholder="Type thing = place, or paste a list of them"
        mark={<LineNumber of={things.length} />}
        onLines={(typed) => onChange(paired(rule, typed))}
      />
      <p className="pt-4 text-sm text-quiet">
        Places; one that nothing belongs to misleads. Students get both sides mixed
      </p>
      <Things
        what="place"
        things={places}
        onChange={(next) => onChange({ ...rule, places: next })}
        onRemove={(id) =>
          onChange({
            ...rule,
            places: places.filter((p) => p.id !== id),
            key: key.filter((k) => k[1] !== id),
            lines: lines.filter((l) => l.place !== id),
          })
        }
        placeholder="a place"
        first="p"
        most={MOST}
        mark={(i) => <LineNumber of={i} />}
      />
      {lines.length > 0 ? (
        <p className="pt-4 text-sm text-quiet">Further pairs worth knowing, mostly wrong ones</p>
      ) : null}
      {lines.map((written, i) => {
        const what = `further pair ${i + 1}`
        const set = (change: Partial<(typeof lines)[number]>) =>
          onChange({ ...rule, lines: replaced(lines, i, { ...written, ...change }) })
        return (
          <Line
            key={i}
            what={what}
            mark={<LineNumber of={i} />}
            onRemove={() => onChange({ ...rule, lines: without(lines, i) })}
          >
            <div className="flex flex-wrap items-center gap-2">
              <SelectField
                label={`Thing of ${what}`}
                hideLabel
                size="place"
                wide={false}
                value={written.thing}
                onChange={(thing) => set({ thing })}
                options={options(things)}
              />
              <span className="text-quiet">in</span>
              <SelectField
                label={`Place of ${what}`}
                hideLabel
                size="place"
                wide={false}
                value={written.place}
                onChange={(place) => set({ place })}
                options={options(places)}
              />
              <Credit what={what} value={written.credit} onChange={(credit) => set({ credit })} />
            </div>
            <Meaning what={what} line={written} set={set} />
          </Line>
        )
      })}
      <Button
        kind="quiet"
        size="small"
        className="mt-2 -ml-2"
        disabled={things.length === 0 || places.length === 0}
        onClick={() =>
          onChange({
            ...rule,
            lines: [
              ...lines,
              {
                thing: things[0]?.id ?? '',
                place: places.find((p) => p.id !== key.find((k) => k[0] === things[0]?.id)?.[1])?.id ?? '',
                credit: '0',
                feedback: '',
                misconception: null,
              },
            ],
          })
        }
      >
        Add a pair worth knowing
      </Button>
      <div className="flex flex-wrap gap-x-6 pt-3 text-[15px]">
        <Tick
          label="Part credit for each pair"
          checked={rule.each}
          onChange={(on) => onChange({ ...rule, each: on })}
        />
        <Tick
          label="A thing may be used several times, as counters are"
          checked={rule.copies}
          onChange={(on) => onChange({ ...rule, copies: on })}
        />
      </div>
    </fieldset>
  )
}
