import { Slider, ToggleGroup } from 'radix-ui'
import type { Tells } from '@/lib/conditions'
import { isTold, LAST_PLACE, MOMENTS, NEVER, placeOf, THINGS, toldFrom, type Moment, type Thing } from '@/lib/telling'

/**
 * From when students are told what: each thing a bar on a rail of time, from the moment on at which its handle stands.
 * Choosing a moment shows beside it what one of them sees then.
 */
export function TellingRail({
  tells,
  onTells,
  at,
  onAt,
}: {
  tells: Tells
  onTells: (tells: Tells) => void
  at: Moment
  onAt: (moment: Moment) => void
}) {
  return (
    <section>
      <h2 className="text-lg">From when are students told what?</h2>
      <div className="mt-2 overflow-x-auto">
        <div className="min-w-[33rem]">
          <ToggleGroup.Root
            type="single"
            aria-label="Show what a student sees when the work is"
            value={at}
            onValueChange={(moment) => moment && onAt(moment as Moment)}
            className="ml-32 grid grid-cols-5"
          >
            {MOMENTS.map((m) => (
              <ToggleGroup.Item
                key={m.id}
                value={m.id}
                className="group relative rounded-t px-1 pt-2 pb-1 text-center hover:bg-pale data-[state=on]:bg-sheet"
              >
                <span
                  aria-hidden
                  className="absolute -top-0.5 left-1/2 hidden h-[7px] w-8 -translate-x-1/2 bg-rung group-data-[state=on]:block"
                />
                <b>{m.label}</b>
                <span className="block text-sm text-quiet">{m.note}</span>
              </ToggleGroup.Item>
            ))}
            <span aria-hidden className="py-2 text-center text-quiet">
              not told
            </span>
          </ToggleGroup.Root>
          <ul>
            {THINGS.map((thing) => (
              <li key={thing.id} className="grid grid-cols-[8rem_1fr] items-center border-b">
                <span className="py-2">{thing.label}</span>
                <span className="relative grid h-full grid-cols-5">
                  {MOMENTS.map((m) => (
                    <span key={m.id} aria-hidden className={m.id === at ? 'bg-sheet' : ''} />
                  ))}
                  <From
                    thing={thing}
                    tells={tells}
                    shown={isTold(tells, thing.id, at)}
                    onPlace={(place) => onTells(toldFrom(tells, thing.id, place))}
                  />
                </span>
              </li>
            ))}
          </ul>
        </div>
      </div>
    </section>
  )
}

/** The handle of one thing, on a rail from the middle of the first column to that of the last, where it is not told. */
function From({
  thing,
  tells,
  shown,
  onPlace,
}: {
  thing: { id: Thing; label: string }
  tells: Tells
  /** it is told by the moment that is looked at */
  shown: boolean
  onPlace: (place: number) => void
}) {
  const from = tells[thing.id]
  const place = placeOf(from)
  const never = from === NEVER
  return (
    <Slider.Root
      min={0}
      max={LAST_PLACE}
      step={1}
      value={[place]}
      onValueChange={([next = place]) => onPlace(next)}
      className="absolute inset-y-0 left-[10%] flex w-[80%] touch-none items-center select-none"
    >
      <Slider.Track className="relative h-9 w-full">
        <span aria-hidden className="absolute inset-x-0 top-1/2 border-t border-edge" />
        {never ? null : (
          <span
            aria-hidden
            className={`absolute top-1/2 right-[12.5%] h-2.5 -translate-y-1/2 ${shown ? 'bg-r3' : 'bg-r1'}`}
            style={{ left: `${(place / LAST_PLACE) * 100}%` }}
          />
        )}
      </Slider.Track>
      <Slider.Thumb
        aria-label={`${thing.label}, told from`}
        aria-valuetext={never ? 'not told' : from}
        className={`block h-6 w-3 border-2 bg-sheet ${never ? 'border-dashed border-quiet' : 'border-ink'}`}
      />
    </Slider.Root>
  )
}
