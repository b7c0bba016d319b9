import { Rich } from '@/lib/Rich'
import type { PaperProps } from '../kinds'
import { letter } from '../parts/letter'

/** Places by letters, and a box at each thing for the letter of its place. */
export default function Paper({ rule, withKey }: PaperProps<'match'>) {
  const lettersOf = (thing: string) =>
    rule.places
      .flatMap((p, i) => rule.key.filter((k) => k[0] === thing && k[1] === p.id).map(() => letter(i)))
      .join(' ')
  return (
    <div className="mt-2 grid grid-cols-2 gap-x-10">
      <ul>
        {rule.things.map((t) => (
          <li key={t.id} className="flex items-baseline gap-2 py-1">
            <span className="inline-block h-6 min-w-8 border border-black px-1 text-center text-sm leading-6 font-bold">
              {withKey ? lettersOf(t.id) : ''}
            </span>
            <Rich html={t.text} inline />
          </li>
        ))}
      </ul>
      <ul>
        {rule.places.map((p, i) => (
          <li key={p.id} className="py-1">
            <b>{letter(i)}</b> <Rich html={p.text} inline />
          </li>
        ))}
      </ul>
    </div>
  )
}
