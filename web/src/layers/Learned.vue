<script setup lang="ts">
import { computed } from 'vue'
import { addDays, dayText, daysBetween } from '@/shared/dates'
import { STAGE_WORDS } from '@/shared/words'
import SectorRing from '@/stem/SectorRing.vue'
import type { LayerPage } from './useLayer'

/** The ring and each look since, one under another: what was seen, and how it moved the date. */
const props = defineProps<{ layer: LayerPage }>()

const looks = computed(() =>
  props.layer.records
    .filter((one) => one.kind === 'LOOKED' && one.inForce && !one.conflict && one.on >= props.layer.ringedOn)
    .reverse(),
)
const rows = computed(() => {
  const all = props.layer.estimates
  const days = all.flatMap((one) => [one.on, one.q10, one.q90]).filter((day): day is string => Boolean(day))
  const from = days.reduce((a, b) => (a < b ? a : b), props.layer.ringedOn)
  const to = addDays(
    days.reduce((a, b) => (a > b ? a : b), props.layer.asOf),
    2,
  )
  const whole = Math.max(1, daysBetween(from, to))
  const x = (day: string) => (600 * daysBetween(from, day)) / whole
  let seen = 0
  return all.map((one) => {
    const look = one.stage ? looks.value[seen++] : undefined
    const details = (look?.details ?? {}) as { sectors?: number[]; fillPercent?: number }
    return {
      on: one.on,
      stage: one.stage,
      sectors: details.sectors ?? [],
      fill: details.fillPercent ?? 0,
      at: x(one.on),
      today: x(props.layer.asOf),
      from: one.q10 ? x(one.q10) : null,
      likeliest: one.q50 ? x(one.q50) : null,
      to: one.q90 ? x(one.q90) : 600,
      words: one.q50
        ? `${dayText(one.q50, props.layer.asOf)}, within ${one.q10 && one.q90 ? Math.max(1, daysBetween(one.q10, one.q90)) : 'many'} days`
        : 'more than four years',
    }
  })
})
</script>

<template>
  <section v-if="rows.length > 1" aria-labelledby="learned-title" data-testid="learned">
    <h2 id="learned-title" class="text-base">What each look taught</h2>
    <ol class="mt-1">
      <li
        v-for="(row, i) in rows"
        :key="i"
        class="grid grid-cols-[3.5rem_1fr] items-center gap-x-3 border-b border-line py-1 sm:grid-cols-[3.5rem_11rem_1fr]"
      >
        <SectorRing
          v-if="row.sectors.length"
          readonly
          :model-value="row.sectors"
          class="row-span-2 size-14 sm:row-span-1"
        />
        <span v-else class="row-span-2 size-14 sm:row-span-1" aria-hidden="true"></span>
        <span>
          <b>{{ row.stage ? STAGE_WORDS[row.stage] : layer.drawing.ringMm ? 'Ring' : 'Set' }}</b><template
            v-if="row.fill"
            >, {{ row.fill }}% full</template
          >
          <span class="block text-sm text-muted">{{ dayText(row.on, layer.asOf) }}</span>
        </span>
        <span class="grid gap-0.5">
          <svg viewBox="0 0 600 22" class="w-full" aria-hidden="true">
            <line x1="0" x2="600" y1="11" y2="11" class="stroke-line" stroke-width="2" />
            <rect
              v-if="row.from !== null"
              :x="row.from"
              y="4"
              :width="Math.max(2, row.to - row.from)"
              height="14"
              class="fill-sap-pale stroke-sap-bright"
            />
            <line
              v-if="row.likeliest !== null"
              :x1="row.likeliest"
              :x2="row.likeliest"
              y1="1"
              y2="21"
              class="stroke-sap"
              stroke-width="3"
            />
            <line :x1="row.today" :x2="row.today" y1="0" y2="22" class="stroke-ink" stroke-dasharray="3 3" />
            <circle :cx="Math.max(4, row.at)" cy="11" r="4" class="fill-ink" />
          </svg>
          <span class="text-sm">{{ row.words }}</span>
        </span>
      </li>
    </ol>
  </section>
</template>
