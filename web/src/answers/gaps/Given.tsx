import type { GivenProps } from '../kinds'
import { Nothing } from '../parts/Nothing'
import { gapsOf, isBlank, plainOf } from '../parts/values'
import { Passage } from './Passage'

export default function Given({ face, value }: GivenProps<'gaps'>) {
  const given = gapsOf(value)
  if (isBlank(value)) return <Nothing />
  return (
    <Passage passage={face.passage} gaps={face.gaps}>
      {(id, place) => {
        const text = given[id] ?? ''
        const option = face.gaps[place]?.options?.find((o) => o.id === text)
        return <b className="border-b border-ink px-1">{option ? plainOf(option.text) : text || '–'}</b>
      }}
    </Passage>
  )
}
