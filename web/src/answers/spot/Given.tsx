import { Pins } from '@/media/Pins'
import type { GivenProps } from '../kinds'
import { Nothing } from '../parts/Nothing'
import { pinsOf } from './marks'

export default function Given({ face, value }: GivenProps<'spot'>) {
  const pins = pinsOf(face, value)
  return pins.length === 0 || !face.picture ? (
    <Nothing />
  ) : (
    <div className="max-w-2xl">
      <Pins label="What was marked" picture={face.picture} pins={pins} mode="points" disabled />
    </div>
  )
}
