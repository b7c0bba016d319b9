import type { GivenProps } from '../kinds'
import { Nothing } from '../parts/Nothing'
import { isBlank } from '../parts/values'
import { Plotted } from './Plane'
import { drawnOf } from './values'

export default function Given({ face, value }: GivenProps<'plot'>) {
  return isBlank(value) ? <Nothing /> : <Plotted grid={face.ground} drawn={drawnOf(value)} label="What was plotted" />
}
