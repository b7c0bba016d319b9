import type { PaperProps } from '../kinds'
import { WritingLines } from '../parts/WritingLines'

export default function Paper({ withKey }: PaperProps<'floor'>) {
  return withKey ? <p className="mt-2 text-sm">Not scored.</p> : <WritingLines count={3} />
}
