<script setup lang="ts">
import { computed, ref, watch } from 'vue'
import { Problem } from '@/shared/api/client'
import { toSend, typed, unitOf } from '@/shared/quantity'
import { useSession } from '@/shared/session'
import Choice from '@/shared/ui/Choice.vue'
import Field from '@/shared/ui/Field.vue'
import { LADDERS, RUNGS, SIGNS, word } from '@/shared/words'
import type { Card } from '@/shared/device/useCards'
import type { NewRecord } from './useLayer'

/** After severance: pot, ladder, what is seen, release. */
const props = defineProps<{ layer: Card; saving: boolean; problem: unknown }>()
const emit = defineEmits<{ keep: [what: NewRecord]; other: [kind: string] }>()
const session = useSession()

const medium = ref('LIGHT_MIX')
const ladder = ref('IN_LEAF')
watch(medium, (now) => {
  if (ladder.value === 'IN_LEAF' || ladder.value === 'MOSS_TRAY')
    ladder.value = now === 'MOSS_STAGE' ? 'MOSS_TRAY' : 'IN_LEAF'
})
const media = computed(() =>
  props.layer.suggested.firstMedia.map((one): [string, string] => [one.medium, one.name]),
)
const advice = computed(() => props.layer.suggested.firstMedia.find((one) => one.medium === medium.value))
const mayPot = computed(() => props.layer.phase === 'SEVERED' || props.layer.plant?.mossSince)
const pot = ref(typed(3000, 'volume', session.units))
const signs = ref<string[]>(['TURGID'])
const destination = ref('SALE')
const step = computed(() => props.layer.advice.step)
const at = computed(() => RUNGS.findIndex(([code]) => code === props.layer.plant?.rung))

function toggle(code: string): void {
  signs.value = signs.value.includes(code)
    ? signs.value.filter((one) => one !== code)
    : [...signs.value.filter((one) => one !== 'TURGID' || !['DROOP', 'CURL'].includes(code)), code]
}

function move(rung: string): void {
  emit('keep', { kind: 'MOVED', details: { rung } })
}
</script>

<template>
  <form
    v-if="mayPot"
    class="panel mb-5 grid gap-4"
    @submit.prevent="
      emit('keep', {
        kind: 'POTTED',
        details: { medium, ladder, potMl: medium === 'GROUND' ? 0 : toSend(pot, 'volume', session.units) },
      })
    "
  >
    <h2 class="text-lg">{{ layer.plant?.mossSince ? 'Move it on from the moss' : 'Pot it up' }}</h2>
    <p>Wires, ties and film off first; leave the medium on, and trim only roots that circle.</p>
    <Choice v-model="medium" label="Into" :options="media" />
    <ul
      v-if="advice?.remarks.length"
      class="border-l-8 py-1 pl-3"
      :class="
        advice.level === 'WARN' || advice.level === 'BLOCK'
          ? 'border-rust bg-rust-pale'
          : 'border-sap bg-sap-pale'
      "
      data-testid="medium-advice"
    >
      <li v-for="remark in advice.remarks" :key="remark">{{ remark }}</li>
    </ul>
    <Choice v-model="ladder" label="Aftercare" :options="LADDERS" />
    <Field
      v-if="medium !== 'GROUND'"
      v-model="pot"
      label="Pot"
      :unit="unitOf('volume', session.units)"
      :error="problem instanceof Problem ? problem.of('potMl') : undefined"
    />
    <div class="flex gap-2">
      <button class="btn btn-main" :disabled="saving" data-testid="pot">Potted</button>
      <button type="button" class="btn btn-rust" @click="emit('other', 'LOST')">Lost</button>
    </div>
  </form>
  <div v-if="layer.phase !== 'SEVERED'" class="grid gap-5">
    <section aria-label="The ladder">
      <h2 class="mb-1 text-base">The ladder</h2>
      <ol class="flex flex-wrap">
        <li
          v-for="([code, text], index) in RUNGS"
          :key="code"
          class="border-b-4 px-3 py-2"
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
          v-if="at < RUNGS.length - 1"
          class="btn"
          :class="{ 'btn-main': step === 'STEP_UP' }"
          :disabled="saving"
          data-testid="step-up"
          @click="move(RUNGS[at + 1]![0])"
        >
          Moved up to {{ word(RUNGS, RUNGS[at + 1]![0]).toLowerCase() }}
        </button>
        <button
          v-if="at > 0"
          class="btn"
          :class="{ 'btn-main': step === 'STEP_BACK' }"
          :disabled="saving"
          data-testid="step-back"
          @click="move(RUNGS[at - 1]![0])"
        >
          Moved back to {{ word(RUNGS, RUNGS[at - 1]![0]).toLowerCase() }}
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
    <form class="grid gap-2" @submit.prevent="emit('keep', { kind: 'RELEASED', details: { destination } })">
      <Choice
        v-model="destination"
        label="Release it to"
        :options="[
          ['SALE', 'Sale'],
          ['PLANTED_OUT', 'Planting out'],
          ['MOTHER_STOCK', 'Own mother stock'],
        ]"
      />
      <div class="flex gap-2">
        <button
          class="btn"
          :class="{ 'btn-main': step === 'RELEASE' }"
          :disabled="saving"
          data-testid="release"
        >
          Release
        </button>
        <button type="button" class="btn btn-rust" :disabled="saving" @click="emit('other', 'LOST')">
          Lost
        </button>
      </div>
    </form>
  </div>
</template>
