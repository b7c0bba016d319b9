import { HandoutPicker } from '@/ui/HandoutPicker'

export default function LookoutList() {
  return (
    <HandoutPicker
      title="Lookout"
      to={(h) => `/lookout/${h.id}`}
      keep={(h) => h.status === 'open'}
      empty="Nothing is running"
      say={(h) => `${h.open} at work, ${h.handedIn} of ${h.expected} in`}
    />
  )
}
