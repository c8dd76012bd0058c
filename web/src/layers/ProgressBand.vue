<script setup lang="ts">
import { computed, ref } from 'vue'
import { useI18n } from 'vue-i18n'
import { addDays, dayText, daysBetween } from '@/shared/dates'
import { useWidth } from '@/shared/useWidth'
import { STAGE_WORDS } from '@/shared/words'
import type { LayerPage } from './useLayer'

/** From the ring to the full ball: the looks, today, and the spread of the date drawn as a spread. */
const props = defineProps<{ layer: LayerPage }>()
const { t } = useI18n()
const TRACK = 78
const frame = ref<HTMLElement | null>(null)
const width = useWidth(frame)

const band = computed(() => {
  const forecast = props.layer.forecast!
  const from = props.layer.ringedOn
  const candidates = [
    forecast.q90,
    forecast.q50,
    props.layer.asOf,
    ...forecast.curve.map((one) => one.on),
  ].filter(Boolean)
  const last = (candidates as string[]).reduce((a, b) => (a > b ? a : b))
  const to = addDays(last, Math.max(4, Math.round(daysBetween(from, last) * 0.06)))
  const days = Math.max(1, daysBetween(from, to))
  const x = (day: string) => 10 + ((width.value - 20) * daysBetween(from, day)) / days
  // the density of the date is the slope of the probability that the core gives for each day
  const slopes = forecast.curve.slice(1).map((point, i) => ({
    x: (x(point.on) + x(forecast.curve[i]!.on)) / 2,
    slope: (point.fullP - forecast.curve[i]!.fullP) / daysBetween(forecast.curve[i]!.on, point.on),
  }))
  const top = Math.max(...slopes.map((one) => one.slope), 1e-9)
  const hill = slopes.length
    ? `M${slopes[0]!.x} ${TRACK}` +
      slopes.map((one) => `L${one.x.toFixed(1)} ${(TRACK - 52 * (one.slope / top)).toFixed(1)}`).join('') +
      `L${slopes.at(-1)!.x} ${TRACK}Z`
    : ''
  const looks = props.layer.records
    .filter((one) => one.kind === 'LOOKED' && one.inForce && one.on >= from)
    .map((one) => ({
      x: x(one.on),
      words: STAGE_WORDS[String((one.details as Record<string, unknown>).stage)],
    }))
  const deadline = forecast.deadline && forecast.deadline <= to ? x(forecast.deadline) : null
  return { x, hill, looks, forecast, from, deadline, looked: looks.length > 0 }
})
const today = computed(() => props.layer.asOf)
/** What is nearly none or nearly all is not said to be none or all. */
const hundredth = (chance: number) =>
  chance > 0 && chance < 0.005
    ? t('progress.fewest')
    : chance >= 0.995 && chance < 1
      ? t('progress.most')
      : String(Math.round(chance * 100))
const text = (day: string | null) => dayText(day, today.value)
const anchor = (x: number) => (x < 50 ? 'start' : x > width.value - 50 ? 'end' : 'middle')
/** The ends of the range are written where they do not run into the likeliest day. */
const ends = computed(() => {
  const { q10, q50, q90 } = band.value.forecast
  if (!q10 || !q50 || !q90) return []
  const middle = band.value.x(q50)
  return [q10, q90]
    .map((day) => ({ day, x: band.value.x(day) }))
    .filter((one) => Math.abs(one.x - middle) > 84 && one.x > 120)
})
</script>

<template>
  <section aria-labelledby="band-title">
    <h2 id="band-title" class="text-base">
      {{ layer.drawing.ringMm ? 'From ring to full ball' : 'From setting to full of roots' }}
    </h2>
    <p data-testid="dates">
      <template v-if="band.forecast.q50">
        {{
          $t(band.forecast.q90 ? 'progress.range' : 'progress.open', {
            likely: text(band.forecast.q50),
            from: text(band.forecast.q10),
            to: text(band.forecast.q90),
          })
        }}
        <b>{{ $t('progress.roots', { roots: hundredth(band.forecast.roots) }) }}</b>
        <template v-if="band.looked"
          >{{ ' ' }}{{ $t('progress.before', { roots: hundredth(band.forecast.rootsBefore) }) }}</template
        >
        {{ $t('progress.today', { full: hundredth(band.forecast.fullP) }) }}
        <template v-if="band.forecast.deadline">{{
          $t('progress.deadline', {
            day: text(band.forecast.deadline),
            full: hundredth(band.forecast.inTimeP),
          })
        }}</template>
        {{ ' ' }}
        <span class="text-muted" data-testid="basis">{{
          band.forecast.ownRecords
            ? $t('progress.own', { records: band.forecast.ownRecords })
            : $t('progress.profile')
        }}</span>
      </template>
      <template v-else>{{ $t('progress.far') }}</template>
    </p>
    <div ref="frame">
      <svg :viewBox="`0 0 ${width} 128`" class="mt-2 block w-full" aria-hidden="true">
        <rect x="10" :y="TRACK - 4" :width="width - 20" height="8" class="fill-line" />
        <rect x="10" :y="TRACK - 4" :width="Math.max(0, band.x(today) - 10)" height="8" class="fill-bark" />
        <path
          v-if="band.hill"
          :d="band.hill"
          class="fill-sap-pale stroke-sap-bright"
          stroke-width="2"
          data-part="hill"
        />
        <g v-if="band.deadline" class="stroke-rust" data-part="deadline">
          <line
            :x1="band.deadline"
            :x2="band.deadline"
            y1="14"
            :y2="TRACK + 4"
            stroke-width="2"
            stroke-dasharray="5 4"
          />
          <text
            :x="band.deadline"
            y="11"
            :text-anchor="anchor(band.deadline)"
            stroke="none"
            class="fill-rust text-[14px] font-bold"
          >
            should be full
          </text>
        </g>
        <line
          v-if="band.forecast.q50"
          :x1="band.x(band.forecast.q50)"
          :x2="band.x(band.forecast.q50)"
          y1="22"
          :y2="TRACK + 4"
          class="stroke-sap"
          stroke-width="3"
        />
        <g v-for="(look, i) in band.looks" :key="i">
          <circle :cx="look.x" :cy="TRACK" r="8" class="fill-card stroke-ink" stroke-width="2.5" />
          <text :x="look.x" :y="i % 2 ? 40 : 60" :text-anchor="anchor(look.x)" class="fill-muted text-[14px]">
            {{ look.words }}
          </text>
        </g>
        <circle cx="10" :cy="TRACK" r="7" class="fill-ink" />
        <line
          :x1="band.x(today)"
          :x2="band.x(today)"
          :y1="TRACK - 20"
          :y2="TRACK + 18"
          class="stroke-ink"
          stroke-width="3"
        />
        <text x="4" y="106" class="fill-muted text-[14px]">
          {{ layer.drawing.ringMm ? 'ring' : 'set' }} {{ text(band.from) }}
        </text>
        <text
          :x="band.x(today)"
          y="124"
          :text-anchor="anchor(band.x(today))"
          class="fill-ink text-[14px] font-bold"
        >
          today
        </text>
        <template v-if="band.forecast.q50">
          <text
            :x="band.x(band.forecast.q50)"
            y="106"
            :text-anchor="anchor(band.x(band.forecast.q50))"
            class="fill-ink text-[15px] font-bold"
          >
            {{ text(band.forecast.q50) }}
          </text>
        </template>
        <text
          v-for="end in ends"
          :key="end.day"
          :x="end.x"
          y="106"
          :text-anchor="anchor(end.x)"
          class="fill-muted text-[14px]"
        >
          {{ text(end.day) }}
        </text>
      </svg>
    </div>
  </section>
</template>
