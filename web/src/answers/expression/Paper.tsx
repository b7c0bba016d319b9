import type { PaperProps } from '../kinds'
import { TypedPaper } from '../parts/TypedPaper'
import { lines } from './lines'

export default function Paper({ rule, withKey }: PaperProps<'expression'>) {
  return <TypedPaper lines={lines(rule)} withKey={withKey} />
}
