import { api, take } from '@/lib/api/client'
import { Keeper, type Transport } from './keeper'
import type { DeviceStore } from './store'

/** How a sitting's answers reach the server. */
export const transportOf =
  (id: string): Transport =>
  (saves, at) =>
    take(api.PUT('/api/me/sittings/{id}/responses', { params: { path: { id } }, body: { saves, at } }))

/**
 * Sends what earlier sittings left on this device unsent, so that an answer given without a network reaches the teacher
 * even when its work is never opened again. What belongs to somebody else is refused, and stays for them.
 *
 * Returns how many answers went, and how many are still here.
 */
export async function sendLeftBehind(
  store: DeviceStore,
  transport: (sittingId: string) => Transport = transportOf,
): Promise<{ sent: number; still: number }> {
  const before = await store.unsent()
  for (const sittingId of new Set(before.map((kept) => kept.sittingId))) {
    const keeper = new Keeper(sittingId, store, transport(sittingId), () => undefined)
    await keeper.begin([])
    await keeper.flush()
    keeper.stop()
  }
  const still = (await store.unsent()).length
  return { sent: before.length - still, still }
}
