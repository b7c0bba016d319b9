import type { PaperProps } from '../kinds'
import { Plotted } from './Plane'
import { drawnTargets } from './targets'

const EMPTY = { points: [], lines: [], intervals: [] }

/** The grid to plot on, or with the key on it. */
export default function Paper({ rule, withKey }: PaperProps<'plot'>) {
  const right = rule.targets.filter((t) => t.credit === '1')
  return (
    <div className="mt-2 max-w-lg break-inside-avoid">
      <Plotted
        grid={rule.ground}
        look="print"
        drawn={withKey ? drawnTargets(right, rule.ground) : EMPTY}
        label={withKey ? 'The key' : 'A grid to plot on'}
      />
    </div>
  )
}
