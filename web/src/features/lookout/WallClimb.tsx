import type { Schemas } from '@/lib/api/client'
import { plural } from '@/lib/format'
import { rungsInWords } from './Climb'

type Climb = Schemas['LookoutWallClimbView']

const [WIDE, HIGH] = [120, 460]
/** So many rungs can be told apart from the back row. */
const MOST_DRAWN = 20

/** A ladder for each team: as many rungs as there are questions to have right, and how far up it they are. */
export function WallClimb({ climb }: { climb: Climb }) {
  return (
    <ul className="wall-climb" aria-label={`Teams that climb, of ${plural(climb.length, 'rung')}`}>
      {climb.teams.map((team) => (
        <li key={team.name}>
          <Ladder length={climb.length} rungs={team.rungs} />
          <b>{team.name}</b>
          <span className="wall-quiet">{rungsInWords(team.rungs)}</span>
        </li>
      ))}
    </ul>
  )
}

function Ladder({ length, rungs }: { length: number; rungs: number }) {
  const drawn = Math.min(length, MOST_DRAWN)
  const step = HIGH / (drawn + 1)
  const at = (rung: number) => HIGH - rung * step
  const height = length === 0 ? 0 : (rungs / length) * drawn
  return (
    <svg aria-hidden viewBox={`0 0 ${WIDE} ${HIGH + 8}`} className="wall-ladder">
      <path d={`M14 0V${HIGH + 8}M${WIDE - 14} 0V${HIGH + 8}`} className="wall-pole" />
      {Array.from({ length: drawn }, (_, i) => (
        <line
          key={i}
          x1="14"
          x2={WIDE - 14}
          y1={at(i + 1)}
          y2={at(i + 1)}
          className={i + 1 <= height + 1e-9 ? 'wall-rung wall-reached' : 'wall-rung'}
        />
      ))}
      <rect
        x="0"
        width={WIDE}
        height="14"
        rx="2"
        y="-7"
        className="wall-stand"
        style={{ translate: `0 ${at(height)}px` }}
      />
    </svg>
  )
}
