import type { PaperProps } from '../kinds'
import { TypedPaper } from '../parts/TypedPaper'

export default function Paper({ rule, withKey }: PaperProps<'expression'>) {
  const lines = rule.lines.map((l, i) => ({
    line: String(i),
    mark: '',
    text: l.expression,
    rich: false,
    credit: l.credit,
    isKey: true,
    misconception: null,
    feedback: '',
    shown: false,
  }))
  return <TypedPaper lines={lines} withKey={withKey} />
}
