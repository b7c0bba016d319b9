import type { PaperProps } from '../kinds'
import { TypedPaper } from '../parts/TypedPaper'
import { lines } from './lines'

export default function Paper({ rule, withKey }: PaperProps<'number'>) {
  return <TypedPaper lines={lines(rule)} withKey={withKey} unit={rule.unit} />
}
