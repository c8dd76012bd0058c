<script setup lang="ts">
import { computed, ref } from 'vue'
import type { Schemas } from '@/shared/api/client'
import { dayText } from '@/shared/dates'
import { show } from '@/shared/quantity'
import { useSession } from '@/shared/session'
import { useWidth } from '@/shared/useWidth'
import { halfThickness, limbScale, spread } from './limbScale'

/** A limb from its tip to where it joins, with what stands on it and where another ball may stand. */
const props = defineProps<{ stand: Schemas['LimbStand'] }>()
const session = useSession()
const frame = ref<Element | null>(null)
const width = useWidth(frame)
const limb = computed(() => props.stand.limb)
const scale = computed(() => limbScale(props.stand, width.value))
const wood = computed(() => {
  const { x, middle } = scale.value
  const tip = halfThickness(props.stand, 0, scale.value)
  const base = halfThickness(props.stand, props.stand.lengthMm, scale.value)
  const end = x(props.stand.lengthMm)
  return `M${x(0)},${middle - tip} L${end},${middle - base} L${end},${middle + base} L${x(0)},${middle + tip} Z`
})
const nodes = computed(() =>
  spread(props.stand.nodes, props.stand.lengthMm).map((mm, i) => {
    const half = halfThickness(props.stand, mm, scale.value)
    return { x: scale.value.x(mm), half, up: i % 2 === 0 }
  }),
)
const free = computed(() =>
  props.stand.free.map((one) => ({
    x: scale.value.x(one.fromTipMm),
    // the ball reaches further than its tip end
    width: (one.toTipMm - one.fromTipMm + props.stand.ballMm) * scale.value.perMm,
  })),
)
const length = (mm: number) => show(mm, 'length', session.units)
const ruler = computed(() => {
  const step = session.units.system === 'US' ? 6 * session.units.length.si : 200
  const marks = []
  for (let mm = 0; mm <= props.stand.lengthMm; mm += step) {
    marks.push({
      x: scale.value.x(mm),
      text:
        session.units.system === 'US'
          ? String(Math.round(mm / session.units.length.si))
          : String(Math.round(mm / 10)),
    })
  }
  return marks
})
const spoken = computed(() => {
  const balls = props.stand.balls.map(
    (ball) => `${ball.number}: ${ball.code}, ${length(ball.fromTipMm)} from the tip`,
  )
  return `${limb.value.name}, ${length(props.stand.lengthMm)} from tip to union. ${balls.length ? balls.join('; ') : 'No ball on it'}.`
})
</script>

<template>
  <section :aria-label="`Picture of ${limb.name}`" data-testid="limb-picture">
    <h3 class="text-base">
      {{ limb.name }}, from its tip
      <span class="font-normal text-muted">({{ session.units.system === 'US' ? 'inches' : 'cm' }})</span>
    </h3>
    <div ref="frame" class="mt-1">
      <svg :viewBox="`0 0 ${width} ${scale.height}`" class="block w-full" role="img" :aria-label="spoken">
        <g v-for="(one, i) in nodes" :key="i">
          <line
            :x1="one.x"
            :x2="one.x"
            :y1="scale.middle - one.half - 1"
            :y2="scale.middle + one.half + 1"
            class="stroke-bark-deep"
            stroke-width="1"
          />
          <ellipse
            v-if="stand.leaves"
            :cx="one.x - 4"
            :cy="one.up ? scale.middle - one.half - 7 : scale.middle + one.half + 7"
            rx="3"
            ry="7"
            :transform="`rotate(${one.up ? -35 : 35} ${one.x} ${scale.middle})`"
            class="fill-moss-pale"
          />
        </g>
        <path :d="wood" class="fill-bark-light stroke-bark-deep" stroke-width="1" />
        <rect
          :x="scale.x(stand.lengthMm)"
          :y="scale.middle - 34"
          width="22"
          height="68"
          class="fill-bark stroke-bark-deep"
        />
        <g v-for="one in free" :key="one.x">
          <rect
            :x="one.x"
            :y="scale.height - 58"
            :width="Math.max(2, one.width)"
            height="14"
            class="fill-lichen-pale stroke-lichen"
            stroke-dasharray="4 3"
          />
        </g>
        <text
          v-if="free[0]"
          :x="Math.min(free[0].x + 4, width - 150)"
          :y="scale.height - 64"
          class="fill-lichen text-sm font-bold"
        >
          {{ stand.more === 1 ? 'room for one more' : `room for ${stand.more} more` }}
        </text>
        <g v-for="ball in stand.balls" :key="ball.code">
          <rect
            :x="scale.x(ball.fromTipMm)"
            :y="scale.middle - (ball.diameterMm * scale.perMm) / 2"
            :width="ball.lengthMm * scale.perMm"
            :height="ball.diameterMm * scale.perMm"
            :rx="(ball.lengthMm * scale.perMm) / 3"
            class="fill-moss stroke-ink"
            stroke-width="1.5"
          />
          <text
            :x="scale.x(ball.fromTipMm + ball.lengthMm / 2)"
            y="20"
            text-anchor="middle"
            class="fill-ink text-sm font-bold"
          >
            {{ ball.number }}
          </text>
          <text
            :x="scale.x(ball.fromTipMm + ball.lengthMm / 2)"
            y="37"
            text-anchor="middle"
            class="fill-ink text-sm"
          >
            {{ ball.code }}
          </text>
        </g>
        <line
          :x1="scale.x(0)"
          :x2="scale.x(stand.lengthMm)"
          :y1="scale.height - 30"
          :y2="scale.height - 30"
          class="stroke-ink"
        />
        <g v-for="mark in ruler" :key="mark.x">
          <line
            :x1="mark.x"
            :x2="mark.x"
            :y1="scale.height - 30"
            :y2="scale.height - 24"
            class="stroke-ink"
          />
          <text :x="mark.x" :y="scale.height - 8" text-anchor="middle" class="fill-ink text-sm">
            {{ mark.text }}
          </text>
        </g>
      </svg>
    </div>
    <ol v-if="stand.balls.length" class="mt-1">
      <li v-for="ball in stand.balls" :key="ball.code">
        {{ ball.number }}.
        <RouterLink class="link font-bold" :to="{ name: 'layer', params: { code: ball.code } }">{{
          ball.code
        }}</RouterLink>, {{ length(ball.fromTipMm) }} from the tip<template
          v-if="stand.balls.length > 1 && ball.number === 1"
          >: sever this one first</template
        >.
      </li>
    </ol>
    <p v-if="stand.cutBackOn" class="mt-1" data-testid="cut-back">
      {{ length(stand.lengthMm) }} are left of it since the last cut on
      {{ dayText(stand.cutBackOn, session.today) }}. When it has grown again, measure it anew.
    </p>
    <p v-for="fault in stand.faults" :key="fault" class="mt-1 border-l-8 border-sap bg-sap-pale p-2">
      {{ fault }}
    </p>
    <p v-if="stand.spots.length" class="mt-1">
      Next ball: its lower end {{ length(stand.spots[0]!) }} from the union. Nodes and leaves are taken as
      evenly spread: where it is close, count them.
    </p>
  </section>
</template>
