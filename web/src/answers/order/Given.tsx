import { Rich } from '@/lib/Rich'
import type { GivenProps } from '../kinds'
import { Nothing } from '../parts/Nothing'
import { orderOf } from '../parts/values'

export default function Given({ face, value }: GivenProps<'order'>) {
  const things = orderOf(value).flatMap((id) => face.things.find((t) => t.id === id) ?? [])
  return things.length === 0 ? (
    <Nothing />
  ) : (
    <ol className="list-decimal pl-6">
      {things.map((t) => (
        <li key={t.id}>
          <Rich html={t.text} inline />
        </li>
      ))}
    </ol>
  )
}
