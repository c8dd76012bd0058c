import { shallowReactive, watch, type Ref } from 'vue'
import { type Schemas, get } from '@/shared/api/client'

type Stem = Schemas['LayerStem']
export interface Listed {
  code: string
  stage: string
  fillPercent: number | null
}

const AT_ONCE = 50

/** The drawings of what a list shows: fetched when it is there, and anew where a layer has changed. */
export function useStems(lines: Ref<Listed[]>) {
  const stems = shallowReactive(new Map<string, Stem>())
  const asked = new Map<string, string>()

  watch(
    lines,
    (now) => {
      const fresh = now.filter((line) => asked.get(line.code) !== look(line))
      fresh.forEach((line) => asked.set(line.code, look(line)))
      void fetchAll(fresh)
    },
    { immediate: true },
  )

  async function fetchAll(some: Listed[]): Promise<void> {
    for (let i = 0; i < some.length; i += AT_ONCE) {
      const part = some.slice(i, i + AT_ONCE)
      try {
        const found = await get('/api/v1/layer-stems', {
          query: { codes: part.map((one) => one.code).join(',') },
        })
        found.forEach((stem) => stems.set(stem.code, stem))
      } catch {
        // the list says everything without them; they are asked for again with the next one
        part.forEach((line) => asked.delete(line.code))
      }
    }
  }

  return stems
}

const look = (line: Listed) => `${line.stage} ${line.fillPercent}`
