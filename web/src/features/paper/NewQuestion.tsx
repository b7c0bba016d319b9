import { TYPES } from '@/answers/registry'
import { Menu } from '@/ui/Menu'

/** How is the question answered that is to be written into the paper? */
export function NewQuestion({ onPick }: { onPick: (type: string) => void }) {
  return (
    <Menu
      face="New question"
      head="The answer is"
      side="top"
      acts={TYPES.map(({ id, answer }) => ({ id, label: answer, run: () => onPick(id) }))}
    />
  )
}
