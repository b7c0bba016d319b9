import { Drawn } from '@/media/Drawn'
import type { PaperProps } from '../kinds'
import { RubricOnPaper } from '../parts/RubricOnPaper'

/** The ground to draw on, or the rubric. */
export default function Paper({ rule, withKey }: PaperProps<'working'>) {
  return withKey ? (
    <RubricOnPaper criteria={rule.criteria} />
  ) : (
    <div className="mt-2 break-inside-avoid">
      <Drawn
        ground={rule.ground}
        picture={rule.picture}
        strokes={[]}
        label={rule.picture?.alt || 'A sheet to draw on'}
      />
    </div>
  )
}
