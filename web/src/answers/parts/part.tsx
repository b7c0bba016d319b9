import { lazy, Suspense, useState, type ComponentType } from 'react'
import { Loading } from '@/ui/States'
import type { Part } from '../kinds'

/** A part of a type that is fetched when needed, and shown at once where it has been fetched before. */
export function part<P extends object>(fetch: () => Promise<{ default: ComponentType<P> }>): Part<P> {
  let ready: ComponentType<P> | null = null
  const load = async () => {
    const module = await fetch()
    ready = module.default
    return module
  }
  const Later = lazy(load) as unknown as ComponentType<P>
  const Shown = (props: P) => {
    // What a place was first shown with stays, so that nothing typed is lost when the rest arrives.
    const [Component] = useState(() => ready ?? Later)
    return (
      <Suspense fallback={<Loading />}>
        <Component {...props} />
      </Suspense>
    )
  }
  return Object.assign(Shown, { load })
}
