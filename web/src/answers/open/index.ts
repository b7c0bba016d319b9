import type { Kind } from '../kinds'
import { part } from '../parts/part'
import { byRubric, namesOf, startRubric } from '../parts/rubric'

export const open: Kind<'open'> = {
  name: 'open',
  answer: 'explained',
  blank: () => ({ criteria: startRubric('Content'), least: null, most: null, starters: [] }),
  face: (rule) => ({ criteria: namesOf(rule), least: rule.least, most: rule.most, starters: rule.starters }),
  ...byRubric,
  Editor: part(() => import('./Editor')),
  Input: part(() => import('./Input')),
  Given: part(() => import('../parts/TypedGiven')),
  Paper: part(() => import('./Paper')),
}
