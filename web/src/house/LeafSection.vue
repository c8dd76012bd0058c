<script setup lang="ts">
import { useQuery } from '@tanstack/vue-query'
import { computed, nextTick, onMounted, ref } from 'vue'
import { useI18n } from 'vue-i18n'
import { useRoute } from 'vue-router'
import { type Schemas, post, remove } from '@/shared/api/client'
import { dayText } from '@/shared/dates'
import { useSession } from '@/shared/session'
import DayField from '@/shared/ui/DayField.vue'
import ProblemNote from '@/shared/ui/ProblemNote.vue'
import { toast } from '@/shared/ui/toasts'
import { useCommand } from '@/shared/useCommand'
import { capital } from '@/shared/words'
import { leafSeasons } from '@/shared/api/house'

/** When leaves come and fall, by place and species: expected, or as somebody saw it. */
const { t } = useI18n()
const session = useSession()
const seasons = useQuery(leafSeasons)
type Kind = Schemas['LeafRecordView']['kind']
const KINDS: Kind[] = ['LEAF_OUT', 'LEAF_FALL']
const which = ref('')
const kind = ref<Kind>('LEAF_OUT')
const on = ref(session.today)
const recording = ref(false)
const { saving, problem, send, error } = useCommand<Schemas['LeafRecordView']>()
const rows = computed(() => seasons.data.value ?? [])
const key = (one: Schemas['LeafSeason']) => `${one.placeId}/${one.speciesCode}`
const record = (one: Schemas['LeafSeason'], of: Kind) => (of === 'LEAF_OUT' ? one.leafOut : one.leafFall)

function words(one: Schemas['LeafSeason'], of: Kind): string {
  const seen = record(one, of)
  if (seen) return t('leaves.seen', { day: dayText(seen.on, session.today), by: seen.by })
  const expected = of === 'LEAF_OUT' ? one.leafOutOn : one.leafFallOn
  return expected ? t('leaves.expected', { day: dayText(expected, session.today) }) : t('leaves.keeps')
}

const route = useRoute()
const top = ref<HTMLElement | null>(null)
// who comes for the leaves is taken to them, though the page fills from above
onMounted(async () => {
  if (route.hash !== '#leaves-title') return
  recording.value = true
  await nextTick()
  top.value?.scrollIntoView()
})

async function keep(): Promise<void> {
  const one = rows.value.find((each) => key(each) === which.value)
  const done = await send((commandId) =>
    post('/api/v1/leaf-records', {
      body: {
        placeId: one?.placeId ?? null,
        speciesCode: one?.speciesCode ?? '',
        kind: kind.value,
        on: on.value || null,
      },
      commandId,
    }),
  )
  if (!done) return
  recording.value = false
  toast(t('leaves.kept'))
}

async function takeBack(one: Schemas['LeafRecordView']): Promise<void> {
  if (
    !(await send((commandId) =>
      remove('/api/v1/leaf-records/{recordId}', { path: { recordId: one.id }, commandId }),
    ))
  )
    return
  toast(t('leaves.takenBack'))
}
</script>

<template>
  <section ref="top" aria-labelledby="leaves-title" class="max-w-4xl" data-testid="leaf-seasons">
    <h2 id="leaves-title" class="border-b-2 border-ink pb-1 text-lg">{{ t('leaves.title') }}</h2>
    <p class="mt-2 max-w-prose">{{ t('leaves.why') }}</p>
    <ProblemNote :problem="seasons.error.value" @retry="seasons.refetch()" />
    <p v-if="seasons.data.value && !rows.length" class="mt-3 text-muted">{{ t('leaves.none') }}</p>
    <div
      v-if="rows.length"
      class="mt-3 overflow-x-auto"
      tabindex="0"
      role="region"
      :aria-label="t('leaves.table')"
    >
      <table class="w-full min-w-[40rem] border-collapse text-left">
        <thead>
          <tr class="text-sm text-muted">
            <th scope="col" class="font-normal">{{ t('leaves.place') }}</th>
            <th scope="col" class="font-normal">{{ t('leaves.species') }}</th>
            <th scope="col" class="font-normal">{{ t('leaves.out') }}</th>
            <th scope="col" class="font-normal">{{ t('leaves.fall') }}</th>
          </tr>
        </thead>
        <tbody>
          <tr v-for="one in rows" :key="key(one)" class="border-t border-line">
            <td class="py-1 pr-3">{{ one.place }}</td>
            <th scope="row" class="pr-3 font-normal">{{ capital(one.common) }}</th>
            <td v-for="of in KINDS" :key="of" class="pr-3" :class="{ 'text-muted': !record(one, of) }">
              {{ words(one, of) }}
              <button
                v-if="session.mayRecord && record(one, of)"
                type="button"
                class="link min-h-10"
                :disabled="saving"
                :aria-label="
                  t('leaves.takeBackOf', {
                    species: one.common,
                    place: one.place,
                    kind: t(`leaves.kinds.${of}`),
                  })
                "
                @click="takeBack(record(one, of)!)"
              >
                {{ t('leaves.takeBack') }}
              </button>
            </td>
          </tr>
        </tbody>
      </table>
    </div>
    <button
      v-if="session.mayRecord && rows.length"
      class="btn mt-3"
      :aria-expanded="recording"
      @click="recording = !recording"
    >
      {{ t('leaves.record') }}
    </button>
    <form v-if="recording" class="panel mt-3 grid gap-4" @submit.prevent="keep">
      <div class="grid gap-4 sm:grid-cols-3">
        <label class="grid content-start gap-1">
          <span class="font-bold">{{ t('leaves.of') }}</span>
          <select v-model="which" class="input" required>
            <option v-for="one in rows" :key="key(one)" :value="key(one)">
              {{ t('leaves.ofWhich', { species: capital(one.common), place: one.place }) }}
            </option>
          </select>
        </label>
        <label class="grid content-start gap-1">
          <span class="font-bold">{{ t('leaves.saw') }}</span>
          <select v-model="kind" class="input">
            <option v-for="of in KINDS" :key="of" :value="of">{{ capital(t(`leaves.kinds.${of}`)) }}</option>
          </select>
        </label>
        <DayField v-model="on" :label="t('leaves.on')" :error="error('on')" />
      </div>
      <div>
        <button class="btn btn-main" :disabled="saving" data-testid="keep-leaf">
          {{ t('leaves.keep') }}
        </button>
      </div>
    </form>
    <ProblemNote :problem="problem" @retry="keep" />
  </section>
</template>
