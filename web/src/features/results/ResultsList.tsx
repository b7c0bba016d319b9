import { HandoutPicker } from '@/ui/HandoutPicker'

export default function ResultsList() {
  return (
    <HandoutPicker
      title="Results"
      to={(h) => `/results/${h.id}`}
      keep={(h) => h.handedIn > 0}
      empty="No work has been handed in"
      say={(h) => `${h.handedIn} of ${h.expected} in${h.waiting > 0 ? `, ${h.waiting} wait for marking` : ''}`}
    />
  )
}
