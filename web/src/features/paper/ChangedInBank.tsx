import type { Schemas } from '@/lib/api/client'
import { plural } from '@/lib/format'

/** What the bank has corrected since the latest edition took it: handing out gives the old wording until a new edition is out. */
export function ChangedInBank({
  view,
  onSelect,
}: {
  view: Schemas['PaperPaperView']
  onSelect: (entry: string) => void
}) {
  if (view.edition === null || view.changed.length === 0) return null
  return (
    <section aria-labelledby="changed" className="border-b border-l-4 border-l-rust bg-sheet px-5 py-2.5 text-[15px]">
      <h2 id="changed" className="inline font-sans text-[15px] font-semibold tracking-normal">
        {plural(view.changed.length, 'question')} changed in the bank since edition {view.edition}.
      </h2>{' '}
      Edition {view.edition} keeps the old {view.changed.length === 1 ? 'one' : 'ones'}; publish edition{' '}
      {view.edition + 1} to hand out the new.
      <ul className="mt-1 flex flex-wrap gap-x-5">
        {view.changed.map((one) => (
          <li key={one.entry}>
            <button className="font-semibold text-blue underline" onClick={() => onSelect(one.entry)}>
              {one.number} {one.title}
            </button>{' '}
            <span className="text-quiet">{one.parts.join(', ')}</span>
          </li>
        ))}
      </ul>
    </section>
  )
}
