<script setup lang="ts">
import { computed, ref } from 'vue'
import type { Card } from '@/shared/device/useCards'
import type { NewRecord } from './newRecord'
import Choice from '@/shared/ui/Choice.vue'
import PickOne from '@/shared/ui/PickOne.vue'
import { LADDERS, RUNGS, SIGNS, word } from '@/shared/words'
import { usePlaces } from '@/shared/usePlaces'

/** A plant on the ladder: where it stands, one step up or back, and what is seen on it, each a tap. */
const props = defineProps<{ layer: Card; saving: boolean }>()
const emit = defineEmits<{ keep: [what: NewRecord] }>()

const places = usePlaces()
const placeId = ref(String(props.layer.plant?.placeId ?? ''))
const ladder = ref(props.layer.plant?.ladder ?? 'IN_LEAF')
const otherwise = computed(
  () => placeId.value !== String(props.layer.plant?.placeId) || ladder.value !== props.layer.plant?.ladder,
)
const signs = ref<string[]>([])
const step = computed(() => props.layer.advice.step)
const at = computed(() => RUNGS.findIndex(([code]) => code === props.layer.plant?.rung))
/** What the advice names comes first under the thumb. */
const moves = computed(() => {
  const up = RUNGS[at.value + 1]
  const back = at.value > 0 ? RUNGS[at.value - 1] : undefined
  const all = [
    up && { rung: up[0], main: step.value === 'STEP_UP', id: 'step-up', words: 'Moved up to' },
    back && { rung: back[0], main: step.value === 'STEP_BACK', id: 'step-back', words: 'Moved back to' },
  ].filter((one) => !!one)
  return all.sort((a, b) => Number(b.main) - Number(a.main))
})

function goOn(): void {
  emit('keep', {
    kind: 'MOVED',
    details: {
      rung: props.layer.plant?.rung,
      placeId: Number(placeId.value) || null,
      ladder: ladder.value,
    },
  })
}

function toggle(code: string): void {
  signs.value = signs.value.includes(code)
    ? signs.value.filter((one) => one !== code)
    : [...signs.value.filter((one) => one !== 'TURGID' || !['DROOP', 'CURL'].includes(code)), code]
}
</script>

<template>
  <div class="grid gap-5">
    <section aria-label="The ladder">
      <h2 class="mb-1 text-base">The ladder</h2>
      <ol class="grid grid-cols-5">
        <li
          v-for="([code, text], index) in RUNGS"
          :key="code"
          class="border-b-4 px-1 py-2 text-center text-sm sm:text-base"
          :class="
            index === at ? 'border-lichen font-bold' : index < at ? 'border-bark' : 'border-line text-muted'
          "
          :aria-current="index === at ? 'step' : undefined"
        >
          {{ text }}
        </li>
      </ol>
      <div class="mt-3 flex flex-wrap gap-2">
        <button
          v-for="one in moves"
          :key="one.rung"
          class="btn"
          :class="{ 'btn-main': one.main }"
          :disabled="saving"
          :data-testid="one.id"
          @click="emit('keep', { kind: 'MOVED', details: { rung: one.rung } })"
        >
          {{ one.words }} {{ word(RUNGS, one.rung).toLowerCase() }}
        </button>
      </div>
    </section>
    <form
      aria-label="What do you see?"
      @submit.prevent="emit('keep', { kind: 'OBSERVED', details: { signs } })"
    >
      <h2 class="mb-1 text-base">What do you see?</h2>
      <div class="flex flex-wrap gap-2">
        <button
          v-for="[code, text] in SIGNS"
          :key="code"
          type="button"
          class="chip"
          :aria-pressed="signs.includes(code)"
          @click="toggle(code)"
        >
          {{ text }}
        </button>
      </div>
      <button
        class="btn mt-3"
        :class="{ 'btn-main': step === 'STAY' }"
        :disabled="saving || !signs.length"
        data-testid="observe"
      >
        Keep what I saw
      </button>
    </form>
    <form class="grid gap-3" aria-label="Where and how it goes on" @submit.prevent="goOn">
      <PickOne v-if="places.length" v-model="placeId" label="It stands in" :options="places" />
      <Choice v-model="ladder" label="Aftercare" :options="LADDERS" />
      <div>
        <button class="btn" :disabled="saving || !otherwise" data-testid="go-on">
          Keep where and how it goes on
        </button>
      </div>
    </form>
  </div>
</template>
