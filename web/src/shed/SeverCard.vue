<script setup lang="ts">
import { useI18n } from 'vue-i18n'
import { computed, ref } from 'vue'
import type { Schemas } from '@/shared/api/client'
import { dayText, daysBetween } from '@/shared/dates'
import Choice from '@/shared/ui/Choice.vue'
import { capital, STAGE_STATES } from '@/shared/words'
import StemThumb from '@/stem/StemThumb.vue'
import type { ToSever } from './useShed'

/** One layer that a cut is decided on: what speaks for it and against, and the week to cut it in. */
const props = defineProps<{
  layer: ToSever
  /** while it is on its way there is none */
  stem: Schemas['LayerStem'] | undefined
  days: Schemas['DayToSever'][]
  today: string
  mayRecord: boolean
  saving: boolean
}>()
const emit = defineEmits<{ record: [kind: string, details: Record<string, unknown>] }>()

const { t } = useI18n()
const thinking = ref(false)
const school = ref(props.layer.school as string)
const fruit = ref(props.layer.fruitToKeep ? 'KEEP' : 'NO')
const best = computed(() => props.days.find((one) => (one.rank === 1 && one.willDo) || one.leastBad)?.on)
const dayWord = (day: Schemas['DayToSever']) =>
  day.leastBad ? t('shed.leastBad') : day.on === best.value ? 'best' : day.willDo ? 'will do' : 'no'
const pros = computed(() => props.layer.reasons.filter((one) => one.speaksFor))
const cons = computed(() => props.layer.reasons.filter((one) => !one.speaksFor))
const late = computed(() =>
  props.layer.group === 'CUT' && props.layer.by ? daysBetween(props.layer.by, props.today) : 0,
)
/** What is only nearly ready is not planned yet, unless one wants to. */
const planning = ref(props.layer.group !== 'NEARLY' || props.layer.cutOn !== null)
const tone = computed(
  () =>
    ({ CUT: 'border-sap', HELD: 'border-lichen', NEARLY: 'border-line' })[props.layer.group] ?? 'border-line',
)

function choose(): void {
  emit('record', 'CHOSEN', {
    school: school.value,
    specimen: props.layer.specimen,
    fruitToKeep: fruit.value === 'KEEP',
  })
  thinking.value = false
}
</script>

<template>
  <li class="grid gap-3 border-l-8 bg-card p-4" :class="tone" :data-code="layer.code" data-testid="to-sever">
    <div class="flex items-start gap-3">
      <StemThumb :stem="stem" large />
      <div class="grid grow gap-2">
        <div class="flex flex-wrap items-baseline gap-x-3">
          <RouterLink class="link text-2xl font-bold" :to="{ name: 'layer', params: { code: layer.code } }">{{
            layer.code
          }}</RouterLink>
          <span class="grow text-muted"
            >{{ capital(layer.species) }}<template v-if="layer.variety"> ‘{{ layer.variety }}’</template> ·
            {{ layer.mother }}<template v-if="layer.limb"> ({{ layer.limb }})</template>, {{ layer.place }} ·
            {{ STAGE_STATES[layer.stage]
            }}<template v-if="layer.fillPercent !== null">, {{ layer.fillPercent }}%</template></span
          >
        </div>
        <div>
          <p class="text-lg font-bold" data-testid="headline">{{ layer.headline }}</p>
          <p v-if="late > 0" class="font-bold text-rust">{{ $t('late', late) }}.</p>
          <p v-if="layer.driesOn" class="text-sm text-muted">
            {{
              layer.driesOn < today
                ? `The ball has wanted water since ${dayText(layer.driesOn, today)}.`
                : `The ball wants water about ${dayText(layer.driesOn, today)}.`
            }}
          </p>
          <p v-if="layer.changed" class="border-l-4 border-water pl-2" data-testid="changed">
            {{ layer.changed }}
          </p>
          <p v-if="layer.first.length" class="font-bold text-rust">
            From the tip down: {{ layer.first.join(', ') }} first.
          </p>
        </div>
      </div>
    </div>
    <div class="grid gap-x-6 gap-y-2" :class="{ 'sm:grid-cols-2': pros.length && cons.length }">
      <div v-if="pros.length">
        <p class="text-sm font-bold text-lichen">For cutting it</p>
        <ul class="text-sm">
          <li v-for="one in pros" :key="one.sentence">{{ one.sentence }}</li>
        </ul>
      </div>
      <div v-if="cons.length">
        <p class="text-sm font-bold text-rust">Against it</p>
        <ul class="text-sm">
          <li v-for="one in cons" :key="one.sentence">{{ one.sentence }}</li>
        </ul>
      </div>
    </div>
    <template v-if="mayRecord">
      <div v-if="planning" role="group" :aria-label="`Plan the cut of ${layer.code}`">
        <p class="mb-1 text-sm">
          {{
            layer.cutOn
              ? `To be cut on ${dayText(layer.cutOn, today)}. Another day, or the same again to let it go:`
              : 'Plan the cut onto a day:'
          }}
        </p>
        <div class="grid grid-cols-4 gap-1 sm:grid-cols-7">
          <button
            v-for="day in days"
            :key="day.on"
            type="button"
            class="chip flex-col justify-center !px-0 py-1 text-center leading-tight"
            :class="{ 'border-2 !border-lichen': day.on === best }"
            :aria-pressed="layer.cutOn === day.on"
            :data-day="day.on"
            :disabled="saving"
            @click="emit('record', 'CUT_PLANNED', { cutOn: layer.cutOn === day.on ? null : day.on })"
          >
            <span>{{ day.on === today ? 'Today' : day.weekday.slice(0, 3) }}</span>
            <span class="text-sm font-normal">{{ dayWord(day) }}</span>
            <span class="sr-only">{{ dayText(day.on, today) }}. {{ day.said.join(' ') }}</span>
          </button>
        </div>
      </div>
      <div class="flex flex-wrap items-center gap-x-4 gap-y-2">
        <RouterLink
          class="btn"
          :class="{ 'btn-main': layer.group === 'CUT' }"
          :to="{ name: 'layer', params: { code: layer.code }, query: { do: 'SEVERED' } }"
          >Leaf and cut</RouterLink
        >
        <button v-if="!planning" type="button" class="link min-h-12" @click="planning = true">
          Plan the cut onto a day
        </button>
        <button type="button" class="link min-h-12" :aria-expanded="thinking" @click="thinking = !thinking">
          When is it meant to be cut?
        </button>
      </div>
      <form v-if="thinking" class="grid gap-3" @submit.prevent="choose">
        <Choice
          v-model="school"
          label="It is severed"
          :options="[
            ['IN_LEAF', 'in leaf, with time to establish'],
            ['DORMANT', 'after leaf fall'],
            ['SPRING', 'next spring'],
          ]"
        />
        <Choice
          v-model="fruit"
          label="Fruit on it"
          :options="[
            ['NO', 'None to keep'],
            ['KEEP', 'To be kept till it is ripe'],
          ]"
        />
        <button class="btn justify-self-start" :disabled="saving" data-testid="choose">Keep</button>
      </form>
    </template>
  </li>
</template>
