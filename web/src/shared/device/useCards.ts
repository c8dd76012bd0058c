import { shallowReactive } from 'vue'
import { type Schemas, get } from '@/shared/api/client'
import { deviceStore } from './store'

export type Card = Schemas['LayerCard']

const AT_ONCE = 50

/** Whether a page of today can read a card that one of before has kept. */
function isAsNow(card: Card): boolean {
  return 'way' in card.recipe
}

/** Cards of layers: from the server where it is reached, else as the device has them. */
export function useCards(personId: number) {
  const cards = shallowReactive(new Map<string, Card>())
  const key = (code: string) => `${personId}/${code}`

  async function keep(some: Card[]): Promise<void> {
    some.forEach((card) => cards.set(card.code, card))
    const writing = (await deviceStore()).transaction('cards', 'readwrite')
    for (const card of some) void writing.store.put({ key: key(card.code), card })
    await writing.done
  }

  /** Fetches some anew; without the network they stay as they are on the device. */
  async function fetchAll(codes: string[]): Promise<void> {
    for (let i = 0; i < codes.length; i += AT_ONCE) {
      const some = codes.slice(i, i + AT_ONCE)
      try {
        await keep(await get('/api/v1/layer-cards', { query: { codes: some.join(',') } }))
      } catch {
        await fromDevice(some)
      }
    }
  }

  async function fromDevice(codes: string[]): Promise<void> {
    const store = await deviceStore()
    for (const code of codes) {
      const kept = await store.get('cards', key(code))
      if (kept && isAsNow(kept.card) && !cards.has(code)) cards.set(code, kept.card)
    }
  }

  return { cards, keep, fetchAll }
}
