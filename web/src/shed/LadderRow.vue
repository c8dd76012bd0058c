<script setup lang="ts">
import { ref } from 'vue'
import { dayText, daysBetween } from '@/shared/dates'
import { capital, RUNGS, SIGNS, word } from '@/shared/words'
import type { OnLadder } from './useShed'

/** One plant: where it stands, what is next, and what is seen on it in a tap. */
defineProps<{ plant: OnLadder; today: string; mayRecord: boolean; saving: boolean }>()
const ticked = defineModel<boolean>('ticked', { required: true })
const emit = defineEmits<{ record: [kind: string, details: Record<string, unknown>] }>()
const looking = ref(false)

function see(sign: string): void {
  emit('record', 'OBSERVED', { signs: [sign] })
  looking.value = false
}
</script>

<template>
  <li class="border-b border-line py-2" :data-code="plant.code" data-testid="on-ladder">
    <div class="flex flex-wrap items-start gap-x-3 gap-y-1">
      <label v-if="mayRecord" class="inline-flex min-h-12 min-w-10 items-center justify-center">
        <input v-model="ticked" type="checkbox" class="size-6 accent-lichen" />
        <span class="sr-only">Tick {{ plant.code }}</span>
      </label>
      <div class="min-w-0 grow basis-56">
        <p>
          <RouterLink class="link text-lg font-bold" :to="{ name: 'layer', params: { code: plant.code } }">{{
            plant.code
          }}</RouterLink>
          {{ capital(plant.species) }}<template v-if="plant.variety"> ‘{{ plant.variety }}’</template>
          <span class="text-muted">
            · {{ plant.place }} · {{ daysBetween(plant.since, today) }} of
            {{ plant.daysWanted }} days<template v-if="plant.seenOn"
              >, seen {{ dayText(plant.seenOn, today) }}:
              {{ plant.seen.map((one) => word(SIGNS, one).toLowerCase()).join(', ') }}</template
            ></span
          >
        </p>
        <p :class="plant.advice.tone === 'URGENT' ? 'font-bold text-rust' : 'font-bold'">
          {{ plant.advice.headline }}
        </p>
        <p v-for="one in plant.advice.because.slice(1)" :key="one" class="text-sm">{{ one }}</p>
      </div>
      <div v-if="mayRecord" class="ml-13 flex flex-wrap gap-2 sm:ml-0">
        <button
          v-if="plant.to"
          type="button"
          class="btn"
          :class="{ 'btn-main': plant.step === 'STEP_BACK' }"
          :disabled="saving"
          :data-testid="`move-${plant.code}`"
          @click="emit('record', 'MOVED', { rung: plant.to })"
        >
          {{ plant.step === 'STEP_BACK' ? 'Moved back to' : 'Moved up to' }}
          {{ word(RUNGS, plant.to).toLowerCase() }}
        </button>
        <RouterLink
          v-if="plant.step === 'POT_UP' || plant.step === 'POT_ON'"
          class="btn btn-main"
          :to="{ name: 'layer', params: { code: plant.code } }"
          >Pot it</RouterLink
        >
        <button type="button" class="btn" :aria-expanded="looking" @click="looking = !looking">Seen</button>
      </div>
    </div>
    <div v-if="looking" class="mt-2 flex flex-wrap gap-2" role="group" :aria-label="`Seen on ${plant.code}`">
      <button
        v-for="[code, text] in SIGNS"
        :key="code"
        type="button"
        class="chip"
        :disabled="saving"
        @click="see(code)"
      >
        {{ text }}
      </button>
    </div>
  </li>
</template>
