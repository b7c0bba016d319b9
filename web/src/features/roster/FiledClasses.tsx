import type { Schemas } from '@/lib/api/client'
import { plural } from '@/lib/format'
import { Fold } from '@/ui/Fold'
import { Tick } from '@/ui/Tick'

type Shown = Schemas['RosterSchoolFilesView']
type Class = Shown['classes'][number]

const FATES: [string, string][] = [
  ['add', '✓ new here'],
  ['join', '✓ known, comes in'],
  ['back', '✓ comes back'],
  ['leave', '– leaves'],
  ['clash', '✕ left alone: somebody else in the class goes by this name'],
]

/** What the school's files would change, class by class, and what is left alone and why. */
export function FiledClasses({
  shown,
  keepNames,
  onClass,
  onKeepNames,
}: {
  shown: Shown
  keepNames: boolean
  onClass: (key: string, on: boolean) => void
  onKeepNames: (on: boolean) => void
}) {
  const { classes, renames, gone, left, faults, others } = shown
  return (
    <div className="flex flex-col gap-5">
      {faults.length > 0 ? (
        <section className="text-bad">
          <h3 className="text-base">What could not be read?</h3>
          <ul>
            {faults.map((fault) => (
              <li key={fault}>✕ {fault}</li>
            ))}
          </ul>
          <p>Mend it where the file was made, and choose the files again. Nothing is taken until then.</p>
        </section>
      ) : null}
      <section>
        <h3 className="text-base">What becomes of the classes?</h3>
        {classes.length === 0 ? <p className="text-quiet">The files name no class that is here or new.</p> : null}
        <ul className="mt-1">
          {classes.map((one) => (
            <li key={one.key} className="border-t py-2 last:border-b">
              <Tick
                label={
                  <span className="flex flex-wrap items-baseline gap-x-3">
                    <b className="font-semibold">{one.name}</b>
                    <span className={one.taken ? '' : 'text-quiet'}>{inShort(one)}</span>
                  </span>
                }
                checked={one.taken}
                onChange={(on) => onClass(one.key, on)}
              />
              {one.students.length > 0 ? (
                <div className="ml-7">
                  <Fold label={`Who? ${plural(one.students.length, 'student')}`}>
                    <Fates of={one} />
                  </Fold>
                </div>
              ) : null}
            </li>
          ))}
        </ul>
      </section>
      {renames.length > 0 || keepNames ? (
        <section>
          <h3 className="text-base">Who is called otherwise?</h3>
          <Tick label="Take the new names" checked={!keepNames} onChange={(on) => onKeepNames(!on)} />
          <ul className="ml-7">
            {renames.map(({ was, name }) => (
              <li key={`${was} ${name}`}>
                {was} → <b className="font-semibold">{name}</b>
              </li>
            ))}
          </ul>
        </section>
      ) : null}
      {gone.length > 0 ? (
        <section>
          <h3 className="text-base">Who leaves the school?</h3>
          <p>{gone.join(', ')}. They leave all their classes and can no longer sign in; their work stays.</p>
        </section>
      ) : null}
      {left.length > 0 ? (
        <section>
          <Fold label={`What is left alone? ${plural(shown.leftAll, 'line')}`}>
            <ul className="ml-5 text-[15px]">
              {left.map((l) => (
                <li key={`${l.file} ${l.line} ${l.why}`} className="border-b py-1">
                  <span className="text-quiet">
                    {l.file}, line {l.line}:
                  </span>{' '}
                  {l.what ? <b className="font-semibold">{l.what}. </b> : null}
                  {l.why}
                </li>
              ))}
              {shown.leftAll > left.length ? (
                <li className="py-1 text-quiet">… and {shown.leftAll - left.length} more</li>
              ) : null}
            </ul>
          </Fold>
        </section>
      ) : null}
      {others.length > 0 ? <p className="text-sm text-quiet">Not read: {others.join(', ')}.</p> : null}
    </div>
  )
}

function inShort(one: Class): string {
  if (!one.taken) return 'left out'
  const of = (fate: string) => one.students.filter((s) => s.fate === fate).length
  const comes = of('add') + of('join') + of('back')
  return [
    one.known ? '' : 'new class',
    one.was === null ? '' : `called ${one.was} now`,
    comes > 0 ? plural(comes, 'student comes in', 'students come in') : '',
    of('leave') > 0 ? plural(of('leave'), 'leaves', 'leave') : '',
    of('clash') > 0 ? `✕ ${plural(of('clash'), 'name')} taken` : '',
    one.here > 0 ? plural(one.here, 'stays as they are', 'stay as they are') : '',
    one.others > 0 ? `${one.others} not in the files, ${one.others === 1 ? 'stays' : 'stay'}` : '',
    one.teachers.length > 0 ? `${one.known ? 'also ' : ''}${one.teachers.join(' and ')}’s` : '',
  ]
    .filter(Boolean)
    .join(' · ')
}

function Fates({ of }: { of: Class }) {
  return (
    <dl className="text-[15px]">
      {FATES.map(([fate, says]) => {
        const who = of.students.filter((s) => s.fate === fate)
        return who.length > 0 ? (
          <div key={fate} className="py-0.5">
            <dt className={fate === 'clash' ? 'text-bad' : 'text-quiet'}>{says}</dt>
            <dd>{who.map((s) => s.name).join(', ')}</dd>
          </div>
        ) : null
      })}
    </dl>
  )
}
