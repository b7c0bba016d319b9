import { useState } from 'react'
import type { Schemas } from '@/lib/api/client'
import { PictureField } from '@/media/PictureField'
import { TextField } from '@/ui/Field'
import { Pick } from '@/ui/Pick'
import { SelectField } from '@/ui/Select'
import type { EditorProps } from '../kinds'
import { Credit, Line, Meaning, replaced } from '../parts/Lines'
import { LineNumber } from '../parts/LineNumber'
import { freshId, Things } from '../parts/Things'
import { WholeField } from '../parts/WholeField'
import { RegionSheet } from './RegionSheet'

type Region = Schemas['Region']

const MODES = [
  { value: 'points', label: 'Press a place' },
  { value: 'rings', label: 'Draw a ring' },
  { value: 'labels', label: 'Lay labels' },
] as const
const MOST = { regions: 60, labels: 40 }
const NOWHERE = ''

/** A picture, the places on it that mean something, and what each is worth. */
export default function Editor({ rule, onChange }: EditorProps<'spot'>) {
  const [chosen, setChosen] = useState<string | null>(null)
  const { picture, regions, labels, mode } = rule
  const key = rule.key as Record<string, string>
  const set = (next: Region[]) => onChange({ ...rule, regions: next })
  const setRegion = (i: number, change: Partial<Region>) => set(replaced(regions, i, { ...regions[i]!, ...change }))
  const right = regions.filter((r) => r.credit !== '0').length
  const drawn = (shape: Pick<Region, 'corners' | 'ellipse'>) => {
    if (regions.length >= MOST.regions) return
    const id = freshId(
      regions.map((r) => r.id),
      'r',
    )
    set([...regions, { id, name: '', ...shape, credit: '1', feedback: '', misconception: null }])
    setChosen(id)
  }
  return (
    <fieldset className="flex flex-col gap-4">
      <legend className="sr-only">Picture and places</legend>
      <PictureField
        label="Picture that is pointed at"
        picture={picture}
        show={false}
        onChange={(next) => onChange({ ...rule, picture: next, regions: next === null ? [] : regions })}
      />
      {picture === null ? (
        <p className="text-sm text-quiet">Give a picture first; then draw on it the places that mean something.</p>
      ) : (
        <>
          <div className="flex flex-wrap items-end gap-x-6 gap-y-2">
            <Pick
              label="What students do"
              options={MODES}
              value={mode}
              onChange={(next) => onChange({ ...rule, mode: next })}
            />
            {mode === 'labels' ? null : (
              <WholeField
                label="Marks asked for"
                value={rule.asked}
                onChange={(asked) => asked !== null && onChange({ ...rule, asked })}
              />
            )}
          </div>
          <RegionSheet
            picture={picture}
            regions={regions}
            chosen={chosen}
            onChoose={setChosen}
            onDrawn={drawn}
            onRegion={(region) => set(regions.map((r) => (r.id === region.id ? region : r)))}
          />
          <div>
            {regions.map((region, i) => {
              const what = `place ${i + 1}`
              return (
                <Line
                  key={region.id}
                  what={what}
                  mark={<LineNumber of={i} />}
                  onRemove={() =>
                    onChange({
                      ...rule,
                      regions: regions.filter((r) => r.id !== region.id),
                      key: Object.fromEntries(Object.entries(key).filter(([, at]) => at !== region.id)),
                    })
                  }
                >
                  <div className="flex flex-wrap items-center gap-2" onFocus={() => setChosen(region.id)}>
                    <div className="min-w-48 flex-1">
                      <TextField
                        label={`What is at ${what}`}
                        hideLabel
                        inPlace
                        placeholder="what is there, such as: the light on the pier"
                        value={region.name ?? ''}
                        maxLength={80}
                        onChange={(e) => setRegion(i, { name: e.target.value })}
                      />
                    </div>
                    {mode === 'labels' ? null : (
                      <Credit what={what} value={region.credit} onChange={(credit) => setRegion(i, { credit })} />
                    )}
                  </div>
                  <Meaning what={what} line={region} set={(change) => setRegion(i, change)} />
                </Line>
              )
            })}
            {regions.length === 0 ? (
              <p className="border-y py-2.5 text-sm text-quiet">
                No place yet. Draw the right one, then those that a wrong idea would choose, with no credit.
              </p>
            ) : null}
          </div>
          {mode === 'labels' ? (
            <Things
              what="label"
              things={labels}
              onChange={(next) => onChange({ ...rule, labels: next })}
              onRemove={(id) =>
                onChange({
                  ...rule,
                  labels: labels.filter((l) => l.id !== id),
                  key: Object.fromEntries(Object.entries(key).filter(([label]) => label !== id)),
                })
              }
              placeholder="a label, or paste a list"
              first="l"
              most={MOST.labels}
              mark={(i) => <LineNumber of={i} />}
              beside={(label) => (
                <SelectField
                  label="Belongs at"
                  hideLabel
                  size="place"
                  wide={false}
                  value={key[label.id] ?? NOWHERE}
                  onChange={(at) =>
                    onChange({
                      ...rule,
                      key:
                        at === NOWHERE
                          ? Object.fromEntries(Object.entries(key).filter(([l]) => l !== label.id))
                          : { ...key, [label.id]: at },
                    })
                  }
                  options={[
                    { value: NOWHERE, label: 'belongs nowhere' },
                    ...regions.map((r, i) => ({ value: r.id, label: `${i + 1} ${r.name ?? ''}`.trim() })),
                  ]}
                />
              )}
            />
          ) : right > 0 && rule.asked > right ? (
            <p className="text-sm font-semibold text-bad">
              ✕ {rule.asked} marks are asked for; {right} of the places are right.
            </p>
          ) : null}
        </>
      )}
    </fieldset>
  )
}
