<script setup lang="ts">
import { useQuery } from '@tanstack/vue-query'
import { computed, ref, watch } from 'vue'
import { useRouter } from 'vue-router'
import { Problem, type Schemas, post } from '@/shared/api/client'
import type { Card } from '@/shared/device/useCards'
import type { NewRecord } from './newRecord'
import { whole } from '@/shared/quantity'
import Choice from '@/shared/ui/Choice.vue'
import Field from '@/shared/ui/Field.vue'
import PickOne from '@/shared/ui/PickOne.vue'
import ProblemNote from '@/shared/ui/ProblemNote.vue'
import { useCommand } from '@/shared/useCommand'
import { ROOT_RUNS } from '@/shared/words'
import { usePlaces } from '@/shared/usePlaces'
import { releaseTest } from '@/shared/api/layers'

/** The test for release, and where it goes: to sale, into the ground, or among the mothers. */
const props = defineProps<{ layer: Card; saving: boolean; problem: unknown }>()
const emit = defineEmits<{ keep: [what: NewRecord]; other: [kind: string] }>()
const router = useRouter()
const { data: test } = useQuery(releaseTest(() => props.layer))
const places = usePlaces()
const raising = useCommand<Schemas['MotherView']>()
const destination = ref('')
const buried = ref('')
const reason = ref('')
const code = ref('')
const placeId = ref('')
const rootRun = ref('GROUND')
const shoots = ref('')
const showAll = ref(false)

watch(
  places,
  (all) => {
    placeId.value ||= all[0]?.[0] ?? ''
  },
  { immediate: true },
)
const failing = computed(() => test.value?.checks.filter((one) => !one.passed) ?? [])
const error = computed(() => (props.problem instanceof Problem ? props.problem.of('note') : undefined))

async function release(): Promise<void> {
  if (destination.value !== 'MOTHER_STOCK') {
    emit('keep', {
      kind: 'RELEASED',
      details: {
        destination: destination.value,
        buriedNodes: destination.value === 'PLANTED_OUT' && buried.value.trim() ? whole(buried.value) : null,
      },
      note: reason.value.trim(),
    })
    return
  }
  const mother = await raising.send((commandId) =>
    post('/api/v1/layers/{code}/mother', {
      path: { code: props.layer.code },
      body: {
        code: code.value.trim(),
        placeId: Number(placeId.value),
        rootRun: rootRun.value,
        leafyShoots: whole(shoots.value),
        reason: reason.value.trim(),
      },
      commandId,
    }),
  )
  if (mother) {
    await router.push({ name: 'mother', params: { id: String(mother.id) } })
  }
}
</script>

<template>
  <form class="grid gap-3" aria-label="Release it" @submit.prevent="release">
    <h2 class="text-base">Release</h2>
    <p v-if="test" data-testid="release-test">
      <b>{{ test.passed ? 'It passes the test for release.' : 'It does not pass the test yet:' }}</b>
      {{ failing.map((one) => one.sentence).join(' ') }}
      <button type="button" class="link min-h-10" :aria-expanded="showAll" @click="showAll = !showAll">
        {{ showAll ? 'Hide the test' : 'The whole test' }}
      </button>
    </p>
    <ul v-if="test && showAll" class="grid gap-1">
      <li v-for="one in test.checks" :key="one.condition" :class="one.passed ? '' : 'font-bold text-rust'">
        {{ one.passed ? 'Passed' : 'Failed' }}: {{ one.sentence }}
      </li>
    </ul>
    <Choice
      v-model="destination"
      label="It goes to"
      :options="[
        ['SALE', 'Sale'],
        ['PLANTED_OUT', 'Planting out'],
        ['MOTHER_STOCK', 'Own mother stock'],
      ]"
    />
    <template v-if="destination === 'PLANTED_OUT'">
      <ul class="list-disc pl-5" data-testid="planting-out">
        <li v-for="one in test?.plantingOut ?? []" :key="one">{{ one }}</li>
      </ul>
      <Field v-model="buried" label="Nodes buried" inputmode="decimal" />
    </template>
    <div v-if="destination === 'MOTHER_STOCK'" class="grid gap-3 sm:grid-cols-2">
      <Field v-model="code" label="Its code as a mother" :error="raising.error('code')" hint="On its tag." />
      <PickOne v-model="placeId" label="It stands in" :options="places" />
      <PickOne v-model="rootRun" label="Roots in" :options="ROOT_RUNS" />
      <Field
        v-model="shoots"
        label="Leafy shoots"
        inputmode="decimal"
        :error="raising.error('leafyShoots')"
      />
    </div>
    <Field
      v-if="test && !test.passed"
      v-model="reason"
      label="It goes all the same, because"
      :error="error ?? raising.error('note')"
    />
    <ProblemNote :problem="raising.problem.value" />
    <div class="flex flex-wrap gap-2">
      <button
        class="btn"
        :class="{ 'btn-main': test?.passed }"
        :disabled="saving || raising.saving.value || !destination"
        data-testid="release"
      >
        Release
      </button>
      <RouterLink class="btn" :to="{ name: 'passport', params: { code: layer.code } }">Its papers</RouterLink>
      <button type="button" class="btn btn-rust" :disabled="saving" @click="emit('other', 'LOST')">
        Lost
      </button>
    </div>
  </form>
</template>
