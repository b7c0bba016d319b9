import { PointerSensor, TouchSensor, useSensor, useSensors } from '@dnd-kit/core'

/** What is dragged by mouse or finger: a press alone, and a page that is scrolled, move nothing. */
export const useDragging = () =>
  useSensors(
    useSensor(PointerSensor, { activationConstraint: { distance: 6 } }),
    useSensor(TouchSensor, { activationConstraint: { delay: 150, tolerance: 8 } }),
  )
