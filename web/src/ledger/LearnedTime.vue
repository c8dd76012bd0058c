<script setup lang="ts">
import { useQuery } from '@tanstack/vue-query'
import { computed, ref, watch } from 'vue'
import { type Schemas, post, put } from '@/shared/api/client'
import { dayText } from '@/shared/dates'
import { useSession } from '@/shared/session'
import ProblemNote from '@/shared/ui/ProblemNote.vue'
import { useCommand } from '@/shared/useCommand'
import WhatMoves from '@/house/WhatMoves.vue'
import { learnedTime } from '@/shared/api/ledger'

/** Whether the dates of a species rest on its profile or on own records, and what the other would move. */
const props = defineProps<{ species: string; common: string; layers: number; median: number }>()
const session = useSession()
const { saving, problem, send } = useCommand<Schemas['SettledTime']>()
const { data: settled } = useQuery(learnedTime(() => props.species))
const moves = ref<Schemas['Moves'] | null>(null)
const moved = ref<unknown>(null)
watch(
  () => props.species,
  () => (moves.value = null),
)
/** Own records say something else by now than what was settled. */
const newer = computed(
  () => settled.value?.own && Math.abs((settled.value.median ?? 0) - props.median) > 0.05,
)
const edit = (own: boolean) => ({ own, number: settled.value?.number ?? 0 })

async function preview(own: boolean): Promise<void> {
  moved.value = null
  try {
    moves.value = await post('/api/v1/species/{code}/learned-time/previews', {
      path: { code: props.species },
      body: edit(own),
    })
  } catch (failure) {
    moved.value = failure
  }
}

async function settle(own: boolean): Promise<void> {
  if (
    await send((commandId) =>
      put('/api/v1/species/{code}/learned-time', {
        path: { code: props.species },
        body: edit(own),
        commandId,
      }),
    )
  )
    moves.value = null
}
</script>

<template>
  <section v-if="settled" class="panel mt-5" aria-labelledby="rest-title" data-testid="learned-time">
    <h2 id="rest-title" class="text-lg">What the dates of {{ common }} rest on</h2>
    <p class="mt-1">
      <template v-if="settled.own">
        <b>Own records ({{ settled.records }})</b>: half are full by {{ settled.median?.toFixed(1) }} thermal
        days. Settled by {{ settled.madeBy }} on {{ dayText(settled.madeOn ?? '', '') }}.
      </template>
      <template v-else>
        <b>Its profile</b
        ><template v-if="settled.madeBy"
          >, again since {{ dayText(settled.madeOn ?? '', '') }} ({{ settled.madeBy }})</template
        >. {{ layers ? 'Own records say nothing yet where dates are shown.' : '' }}
      </template>
    </p>
    <p v-if="newer" class="mt-1">Own records have gone on since: they say {{ median.toFixed(1) }} by now.</p>
    <WhatMoves v-if="moves" class="mt-3" :moves="moves" />
    <ProblemNote :problem="problem ?? moved" class="mt-3" />
    <div v-if="session.isOwner && layers" class="mt-3 flex flex-wrap gap-2 print:hidden">
      <button
        v-if="!settled.own || newer"
        type="button"
        class="btn btn-main"
        :disabled="saving"
        data-testid="go-own"
        @click="settle(true)"
      >
        Go by own records ({{ layers }})
      </button>
      <button
        v-if="settled.own"
        type="button"
        class="btn"
        :disabled="saving"
        data-testid="go-profile"
        @click="settle(false)"
      >
        Back to the profile
      </button>
      <button
        type="button"
        class="btn"
        :disabled="saving"
        data-testid="what-moves"
        @click="preview(!settled.own || !!newer)"
      >
        What would move?
      </button>
    </div>
  </section>
</template>
