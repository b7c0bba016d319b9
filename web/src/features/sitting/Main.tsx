import { createContext, use, type ComponentProps, type ReactNode } from 'react'

const Within = createContext(false)

/** Within a page of the desk, which has its main part already, as in a preview. */
export function InDesk({ children }: { children: ReactNode }) {
  return <Within value>{children}</Within>
}

/** The main part of a student's page: a page has one. */
export function Main(props: ComponentProps<'main'>) {
  return use(Within) ? <section aria-label="As a student sees it" {...props} /> : <main {...props} />
}
