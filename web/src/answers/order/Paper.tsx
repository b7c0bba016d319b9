import { Rich } from '@/lib/Rich'
import type { PaperProps } from '../kinds'
import { mixed } from './mixed'

/** A box for each thing's number; the numbers themselves in the key. */
export default function Paper({ rule, withKey }: PaperProps<'order'>) {
  return (
    <ul className="mt-2">
      {mixed(rule.things).map((t) => (
        <li key={t.id} className="flex items-baseline gap-2 py-1">
          <span className="inline-block size-6 border border-black text-center text-sm leading-6 font-bold">
            {withKey ? rule.things.findIndex((one) => one.id === t.id) + 1 : ''}
          </span>
          <Rich html={t.text} inline />
        </li>
      ))}
    </ul>
  )
}
