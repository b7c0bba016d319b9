import { cva } from 'class-variance-authority'
import type { ButtonHTMLAttributes, ReactNode, Ref } from 'react'

type Props = ButtonHTMLAttributes<HTMLButtonElement> & {
  /** bare: on dark ground, in the colour of what surrounds it */
  kind?: 'plain' | 'do' | 'quiet' | 'danger' | 'bare'
  hint?: string
  size?: 'normal' | 'small' | 'large'
  children: ReactNode
  ref?: Ref<HTMLButtonElement>
}

const looks = cva(
  'inline-flex shrink-0 items-center justify-center gap-2 rounded border font-semibold whitespace-nowrap disabled:opacity-55',
  {
    variants: {
      kind: {
        plain: 'border-edge bg-sheet hover:border-ink',
        do: 'border-rust bg-rust text-on-rust hover:border-rust-dark hover:bg-rust-dark',
        quiet: 'border-transparent text-blue hover:underline',
        bare: 'border-current bg-transparent hover:underline',
        danger: 'border-bad bg-sheet text-bad hover:bg-bad hover:text-sheet',
      },
      size: { normal: 'px-3 py-1.5 text-[15px]', small: 'px-2 py-0.5 text-sm', large: 'min-h-12 px-5 text-lg' },
    },
  },
)

/** A button says what happens. `hint` names its key. */
export function Button({
  kind = 'plain',
  size = 'normal',
  hint,
  className = '',
  children,
  type = 'button',
  ...rest
}: Props) {
  return (
    <button type={type} className={looks({ kind, size, className })} aria-keyshortcuts={hint} {...rest}>
      {children}
      {hint ? <Key name={hint} onDark={kind === 'do'} /> : null}
    </button>
  )
}

export function Key({ name, onDark = false }: { name: string; onDark?: boolean }) {
  return (
    <kbd
      aria-hidden
      className={`self-center rounded-[3px] border border-b-2 px-1 font-mono text-xs font-normal ${onDark ? 'border-on-rust/60 text-on-rust' : 'border-line bg-sheet text-quiet'}`}
    >
      {name === 'Enter' ? '↵' : name}
    </kbd>
  )
}
