import { Rich } from '@/lib/Rich'
import type { GivenProps } from '../kinds'
import { Nothing } from '../parts/Nothing'
import { pairsOf } from '../parts/values'

export default function Given({ face, value }: GivenProps<'match'>) {
  const pairs = pairsOf(value)
  if (pairs.length === 0) return <Nothing />
  return (
    <ul>
      {face.places
        .filter((place) => pairs.some((p) => p[1] === place.id))
        .map((place) => (
          <li key={place.id} className="flex flex-wrap gap-x-2">
            <Rich html={place.text} inline className="font-semibold" />:
            {pairs
              .filter((p) => p[1] === place.id)
              .map((p, i) => (
                <Rich key={i} inline html={face.things.find((t) => t.id === p[0])?.text ?? ''} />
              ))}
          </li>
        ))}
    </ul>
  )
}
