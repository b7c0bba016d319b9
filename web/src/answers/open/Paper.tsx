import type { PaperProps } from '../kinds'
import { RubricOnPaper } from '../parts/RubricOnPaper'
import { WritingLines } from '../parts/WritingLines'

const LINES = 6
/** Words that fit on a line as people write. */
const WORDS_A_LINE = 10
const MOST_LINES = 24

/** Lines to write on, as many as are asked for; or the rubric. */
export default function Paper({ rule, withKey }: PaperProps<'open'>) {
  if (withKey) return <RubricOnPaper criteria={rule.criteria} />
  const words = rule.most ?? rule.least ?? 0
  return (
    <>
      {rule.starters.length > 0 ? <p className="mt-2 text-sm">Begin with: {rule.starters.join(' · ')}</p> : null}
      <WritingLines count={Math.min(MOST_LINES, Math.max(LINES, Math.ceil(words / WORDS_A_LINE)))} />
    </>
  )
}
