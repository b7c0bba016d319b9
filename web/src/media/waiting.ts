import { openDB, type DBSchema } from 'idb'

/** A file that has not arrived yet: it is on this device, whatever becomes of the page. */
type Waiting = {
  key: string
  scope: string
  name: string
  kinds: string[]
  blob: Blob
  /** The server's name for it, once it was announced. */
  upload: string | null
}

interface Device extends DBSchema {
  files: { key: string; value: Waiting; indexes: { scope: string } }
}

export interface WaitingStore {
  put(file: Waiting): Promise<void>
  of(scope: string): Promise<Waiting[]>
  drop(key: string): Promise<void>
  /** How many wait in scopes that begin so. */
  count(scopes: string): Promise<number>
}

/** Files wait in a store of their own beside the answers (docs/decisions/device-store.md). */
function waitingStore(name = 'chalk-ladder-files'): WaitingStore {
  // A browser without such a store refuses like one that will not give it.
  const open = async () =>
    openDB<Device>(name, 1, {
      upgrade: (db) => db.createObjectStore('files', { keyPath: 'key' }).createIndex('scope', 'scope'),
      blocking: (_, __, event) => (event.target as IDBDatabase).close(),
    })
  const opening = open()
  // A private window may refuse the store: the act that needs it says so.
  opening.catch(() => undefined)
  return {
    put: async (file) => void (await (await opening).put('files', file)),
    of: async (scope) => (await opening).getAllFromIndex('files', 'scope', scope),
    drop: async (key) => (await opening).delete('files', key),
    count: async (scopes) =>
      (await (await opening).getAll('files')).filter((file) => file.scope.startsWith(scopes)).length,
  }
}

let store: WaitingStore | null = null
/** Opened when first needed. */
export const waiting = () => (store ??= waitingStore())
