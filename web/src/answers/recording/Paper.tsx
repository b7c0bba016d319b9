import type { PaperProps } from '../kinds'
import { RubricOnPaper } from '../parts/RubricOnPaper'

export default function Paper({ rule, withKey }: PaperProps<'recording'>) {
  return withKey ? (
    <RubricOnPaper criteria={rule.criteria} />
  ) : (
    <p className="mt-2 text-sm">
      {rule.medium === 'sound' ? 'Spoken' : 'Filmed'}, at most {rule.seconds} seconds, on a device.
    </p>
  )
}
