import type { Value } from '../kinds'
import { FilesGiven } from './FilesGiven'
import { Nothing } from './Nothing'
import { filesOf, isBlank, textOf } from './values'

/** Files with the words beside them. */
export default function FilesAnswer({ value }: { value: Value | null }) {
  return isBlank(value) ? (
    <Nothing />
  ) : (
    <div className="flex flex-col gap-3">
      <FilesGiven files={filesOf(value)} />
      {textOf(value) ? <p className="whitespace-pre-wrap">{textOf(value)}</p> : null}
    </div>
  )
}
