import { cleanup, configure } from '@testing-library/react'
import { afterAll, afterEach } from 'vitest'
import { sessionResumed } from '@/lib/session'
import { clearToasts } from '@/ui/toast'
import { server } from './server'

// A machine that does other things as well is slow, not wrong.
configure({ asyncUtilTimeout: 10_000 })

// The client takes these from the global scope once, when it is made; requests of pages are relative to the page.
const Plain = globalThis.Request
globalThis.Request = class extends Plain {
  constructor(input: RequestInfo | URL, init?: RequestInit) {
    super(typeof input === 'string' ? new URL(input, location.href) : input, init)
  }
}

// What Radix asks of a browser and jsdom does not have.
Element.prototype.hasPointerCapture ??= () => false
Element.prototype.setPointerCapture ??= () => undefined
Element.prototype.scrollIntoView ??= () => undefined
Range.prototype.getClientRects ??= () => [] as unknown as DOMRectList
Range.prototype.getBoundingClientRect ??= () =>
  ({ left: 0, right: 0, top: 0, bottom: 0, width: 0, height: 0 }) as DOMRect
window.scrollTo = () => undefined
globalThis.ResizeObserver ??= class {
  observe() {}
  unobserve() {}
  disconnect() {}
}

Blob.prototype.arrayBuffer ??= function (this: Blob) {
  return new Promise((done) => {
    const reader = new FileReader()
    reader.onload = () => done(new Uint8Array(reader.result as ArrayBuffer).buffer)
    reader.readAsArrayBuffer(this)
  })
}

server.listen({ onUnhandledRequest: 'error' })
afterAll(() => server.close())

afterEach(() => {
  cleanup()
  localStorage.clear()
  sessionStorage.clear()
  clearToasts()
  sessionResumed()
})
