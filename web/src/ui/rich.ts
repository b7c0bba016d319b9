import { cva } from 'class-variance-authority'

export type RichProps = {
  label: string
  value: string
  onChange: (html: string) => void
  small?: boolean
  hideLabel?: boolean
  /** without a box, on the sheet as it will be read */
  inPlace?: boolean
  placeholder?: string
  /** takes the focus when it appears */
  focused?: boolean
  /** asked when plain words are pasted where nothing stands yet: what of them stays here, or null to take them as usual */
  onPastedIntoEmpty?: (words: string) => string | null
}

export const frames = cva('group', {
  variants: {
    inPlace: {
      true: 'relative border-b border-dashed border-transparent focus-within:border-solid focus-within:border-blue hover:border-edge',
      false: 'rounded border border-edge bg-sheet focus-within:outline-2 focus-within:outline-blue',
    },
    small: { true: '', false: '' },
  },
  compoundVariants: [{ inPlace: false, small: true, className: 'flex flex-row-reverse items-start' }],
})
export const textIn = cva('min-w-0 flex-1', { variants: { inPlace: { true: 'py-0.5', false: 'px-3 py-2' } } })
