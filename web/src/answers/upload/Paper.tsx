import { kindsInWords } from '@/media/words'
import type { PaperProps } from '../kinds'
import { RubricOnPaper } from '../parts/RubricOnPaper'

export default function Paper({ rule, withKey }: PaperProps<'upload'>) {
  return withKey ? (
    <RubricOnPaper criteria={rule.criteria} />
  ) : (
    <p className="mt-2 text-sm">Hand in on a device, or pin to this sheet: {kindsInWords(rule.kinds)}.</p>
  )
}
