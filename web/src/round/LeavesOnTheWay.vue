<script setup lang="ts">
import { computed, ref } from 'vue'
import { useI18n } from 'vue-i18n'
import type { Schemas } from '@/shared/api/client'
import { dayText } from '@/shared/dates'
import { LEAF_PATH, useOutbox } from '@/shared/device/outbox'
import { useSession } from '@/shared/session'
import ProblemNote from '@/shared/ui/ProblemNote.vue'
import { toast } from '@/shared/ui/toasts'
import { capital } from '@/shared/words'

/** Whose leaves should have come or fallen about now: a tap says that they have. */
const props = defineProps<{ leaves: Schemas['LeafSeason'][]; today: string }>()
const { t } = useI18n()
const session = useSession()
const outbox = useOutbox()
const saving = ref(false)
const problem = ref<unknown>(null)

/** Without what was recorded here and waits to be sent. */
const left = computed(() =>
  props.leaves.filter(
    (leaf) =>
      !outbox.waiting.some(
        (one) =>
          one.path === LEAF_PATH &&
          one.body.placeId === leaf.placeId &&
          one.body.speciesCode === leaf.speciesCode,
      ),
  ),
)
const places = computed(() => [...new Set(left.value.map((leaf) => leaf.place))])

function asked(leaf: Schemas['LeafSeason']): string {
  const day = leaf.asked === 'LEAF_OUT' ? leaf.leafOutOn : leaf.leafFallOn
  return t(`leaves.ask.${leaf.asked}`, { species: capital(leaf.common), day: dayText(day, props.today) })
}

async function record(leaf: Schemas['LeafSeason']): Promise<void> {
  const kind = leaf.asked!
  saving.value = true
  problem.value = null
  const about = t('leaves.ofWhich', { species: capital(leaf.common), place: leaf.place })
  const outcome = await outbox
    .recordLeaf({ placeId: leaf.placeId, speciesCode: leaf.speciesCode, kind, on: props.today }, about)
    .finally(() => (saving.value = false))
  if (outcome && 'problem' in outcome) problem.value = outcome.problem
  else toast(outcome ? t('leaves.kept') : t('leaves.keptHere'))
}
</script>

<template>
  <details v-if="left.length" class="mt-4 border-y border-line" data-testid="leaves">
    <summary class="flex min-h-12 cursor-pointer items-center font-bold">
      {{ t('leaves.walkTitle', { count: left.length }, left.length) }}
    </summary>
    <div v-for="place in places" :key="place">
      <h2 class="mt-1 text-sm font-normal text-muted">{{ place }}</h2>
      <ul>
        <li
          v-for="leaf in left.filter((one) => one.place === place)"
          :key="leaf.speciesCode"
          class="flex items-center justify-between gap-3 border-t border-line py-1"
        >
          <span>{{ asked(leaf) }}</span>
          <button
            v-if="session.mayRecord"
            type="button"
            class="btn shrink-0"
            :disabled="saving"
            :aria-label="
              t('leaves.yesOf', {
                species: capital(leaf.common),
                place,
                kind: t(`leaves.yes.${leaf.asked}`).toLowerCase(),
              })
            "
            @click="record(leaf)"
          >
            {{ t(`leaves.yes.${leaf.asked}`) }}
          </button>
        </li>
      </ul>
    </div>
    <ProblemNote :problem="problem" />
    <RouterLink
      v-if="session.mayRecord"
      class="link inline-flex min-h-12 items-center"
      :to="{ name: 'house', hash: '#leaves-title' }"
      >{{ t('leaves.otherDay') }}</RouterLink
    >
  </details>
</template>
