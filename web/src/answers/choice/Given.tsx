import { Rich } from '@/lib/Rich'
import type { GivenProps } from '../kinds'
import { Nothing } from '../parts/Nothing'
import { optionsOf } from '../parts/values'

export default function Given({ face, value }: GivenProps<'choice'>) {
  const picked = face.options.filter((o) => optionsOf(value).includes(o.id))
  return picked.length > 0 ? picked.map((o) => <Rich key={o.id} html={o.text} />) : <Nothing />
}
