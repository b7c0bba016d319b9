import { DayPicker } from 'react-day-picker'
import { enGB } from 'react-day-picker/locale'
import { localText } from '@/lib/locale'

/** At what time a picked day is meant where none was set before. */
const MORNING = [8, 0] as const

/** A month to pick a day from; the time stays as it was. */
export default function Calendar({ value, onPick }: { value: string; onPick: (local: string) => void }) {
  const now = value ? new Date(value) : null
  const pick = (day: Date | undefined) => {
    if (!day) return
    const [hour, minute] = now ? [now.getHours(), now.getMinutes()] : MORNING
    onPick(localText(new Date(day.getFullYear(), day.getMonth(), day.getDate(), hour, minute)))
  }
  return (
    <DayPicker
      mode="single"
      autoFocus
      locale={enGB}
      selected={now ?? undefined}
      defaultMonth={now ?? undefined}
      onSelect={pick}
      classNames={{
        months: 'relative',
        month_caption: 'pb-2 text-center font-head font-semibold',
        nav: 'absolute inset-x-0 top-0 flex justify-between',
        button_previous: 'size-7 rounded hover:bg-rust-pale [&_svg]:mx-auto [&_svg]:size-4 [&_svg]:fill-current',
        button_next: 'size-7 rounded hover:bg-rust-pale [&_svg]:mx-auto [&_svg]:size-4 [&_svg]:fill-current',
        weekday: 'pb-1 text-sm font-medium text-quiet',
        day: 'p-0 text-center',
        day_button: 'size-9 rounded tabular-nums hover:bg-rust-pale',
        selected: 'rung-top font-bold',
        today: 'underline decoration-rung decoration-2 underline-offset-4',
        outside: 'text-quiet',
      }}
    />
  )
}
