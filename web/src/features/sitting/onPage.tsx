import { isBlank } from '@/answers/parts/values'
import type { kindOf } from '@/answers/registry'
import type { Look } from '@/media/looks'
import type { Step, Value } from './store'

export type OnPage = typeof onPage

/**
 * How a question is answered on the page that it looks at, as far as its type fits there: a mark to press, and for the question in front
 * of the student a field. Beside the page stands the same answer.
 */
export function onPage(
  step: Step,
  now: {
    current: boolean
    /** its mark was pressed, so its field has the focus */
    pressed: boolean
    value: Value | null
    disabled: boolean
    /** the registry's: a part that is fetched later has no copy of it */
    kindOf: typeof kindOf
    onAnswer: (value: Value) => void
    onPress: () => void
  },
): Pick<Look, 'mark' | 'answer'> {
  const { face } = step
  const Small = face && step.looksAt?.page !== undefined ? now.kindOf(face.type).Small : undefined
  if (!face || !Small) return {}
  const given = !isBlank(now.value)
  return {
    mark: {
      said: `Question ${step.number} on the page, ${given ? 'answered' : 'not answered'}`,
      given,
      onPress: now.onPress,
    },
    answer: now.current ? (
      <span className="min-w-0 flex-1" ref={now.pressed ? focusInside : undefined}>
        <Small
          face={face}
          heading={`question ${step.number}`}
          value={now.value}
          disabled={!step.open || now.disabled}
          onChange={now.onAnswer}
        />
      </span>
    ) : null,
  }
}

/** Frames in which a field that is still being fetched is waited for. */
const PATIENCE = 60

/** Whoever has pressed a mark goes on to write there. */
function focusInside(place: HTMLElement | null) {
  let left = PATIENCE
  const look = () => {
    const field = place?.querySelector<HTMLElement>('input:checked, input')
    if (field) field.focus()
    else if (place?.isConnected && left-- > 0) requestAnimationFrame(look)
  }
  look()
}
