import type { Kind } from '../kinds'
import { part } from '../parts/part'
import { byRubric, namesOf, startRubric } from '../parts/rubric'

export const recording: Kind<'recording'> = {
  name: 'recording',
  answer: 'spoken or filmed',
  blank: () => ({ criteria: startRubric('Speech'), medium: 'sound', seconds: 60 }),
  face: (rule) => ({ criteria: namesOf(rule), medium: rule.medium, seconds: rule.seconds }),
  ...byRubric,
  drawn: true,
  Editor: part(() => import('./Editor')),
  Input: part(() => import('./Input')),
  Given: part(() => import('../parts/FilesAnswer')),
  Paper: part(() => import('./Paper')),
}
