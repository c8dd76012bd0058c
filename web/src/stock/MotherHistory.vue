<script setup lang="ts">
import type { Schemas } from '@/shared/api/client'
import { dayText } from '@/shared/dates'
import { useSession } from '@/shared/session'
import { RIGHTS, ROOT_RUNS, VIGOURS, word } from '@/shared/words'

/** What was changed on a mother, by whom and why. */
defineProps<{ history: Schemas['Entry'][] }>()
const session = useSession()
const KINDS: Record<string, string> = {
  ADDED: 'Added',
  EDITED: 'Changed',
  RELABELLED: 'Relabelled',
  RETIRED: 'Retired',
  RETURNED: 'Used again',
  MERGED: 'Merged into another',
  TOOK_IN: 'Took in another',
}
/** What a mother's history tells of: her facts, two of them by name, and the two sides of a merger. */
type Fact =
  | Exclude<
      keyof Schemas['MotherView'],
      'id' | 'version' | 'retiredOn' | 'mergedInto' | 'speciesCode' | 'placeId'
    >
  | 'species'
  | 'place'
  | 'into'
  | 'from'
const FIELDS: Record<Fact, string> = {
  code: 'code',
  species: 'species',
  variety: 'variety',
  place: 'place',
  rootRun: 'grows in',
  vigour: 'vigour',
  plantedYear: 'planted',
  sick: 'sick',
  toBeCutDown: 'to be cut down',
  rights: 'rights',
  permission: 'permission',
  leafyShoots: 'leafy shoots',
  note: 'note',
  into: 'into',
  from: 'from',
}

const called = (field: string) => (FIELDS as Record<string, string>)[field] ?? field

function value(field: string, text: string): string {
  if (text === '') return 'nothing'
  if (text === 'true' || text === 'false') return text === 'true' ? 'yes' : 'no'
  if (field === 'rootRun') return word(ROOT_RUNS, text)
  if (field === 'vigour') return word(VIGOURS, text)
  if (field === 'rights') return word(RIGHTS, text)
  return text
}
</script>

<template>
  <section aria-labelledby="history-title">
    <h2 id="history-title" class="border-b-2 border-ink pb-1 text-xl">What was changed on it</h2>
    <ol data-testid="history">
      <li v-for="(entry, i) in history" :key="i" class="border-b border-line py-2">
        <b>{{ KINDS[entry.kind] }}</b> on {{ dayText(entry.on, session.today)
        }}<template v-if="entry.by"> by {{ entry.by }}</template
        ><template v-if="entry.reason">: {{ entry.reason }}</template>
        <ul v-if="entry.kind !== 'ADDED'" class="text-muted">
          <li v-for="change in entry.changes" :key="change.field">
            {{ called(change.field)
            }}<template v-if="change.was">: {{ value(change.field, change.was) }} →</template>
            {{ value(change.field, change.now) }}
          </li>
        </ul>
      </li>
    </ol>
  </section>
</template>
