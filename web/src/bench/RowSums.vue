<script setup lang="ts">
import type { Schemas } from '@/shared/api/client'
import { show } from '@/shared/quantity'
import { useSession } from '@/shared/session'

/** The sums for one branch. */
defineProps<{ row: Schemas['BranchPreview']; ringMm: number }>()
const session = useSession()
const length = (mm: number) => show(mm, 'length', session.units)
const RISK: Record<string, string> = {
  LOW: 'low',
  MODERATE: 'moderate: scrape with care',
  HIGH: 'high: scrape, or cut wider',
}
const FIT: Record<string, string> = {
  IN_BAND: 'in the useful band',
  BELOW: 'below the useful band',
  ABOVE: 'above the useful band: it holds roots back',
}
const LOAD: Record<string, string> = {
  FINE: 'no prop',
  PROP: 'prop it',
  SMALLER_OR_PROP_FIRST: 'smaller ball, or a prop before anything else',
}
const CONTAINER: Record<string, string> = {
  FITS: 'the container suits it',
  TOO_SMALL: 'the container is small for it, it dries and fills sooner',
  TOO_LARGE: 'the container is large for it, it stays wet',
}
</script>

<template>
  <dl class="mt-3 grid grid-cols-[auto_1fr] gap-x-4 gap-y-1" data-testid="sums">
    <dt class="text-muted">Ring</dt>
    <dd>
      <b>{{ ringMm ? length(ringMm) : 'none: nothing is cut' }}</b>
    </dd>
    <template v-if="row.ball.mediumMl">
      <dt class="text-muted">Ball</dt>
      <dd>{{ length(row.ball.ballLengthMm) }} long, {{ length(row.ball.ballDiameterMm) }} across</dd>
      <dt class="text-muted">Medium</dt>
      <dd>
        {{ show(row.ball.mediumMl, 'volume', session.units) }}, squeezed<template v-if="row.containerFit"
          >: {{ CONTAINER[row.containerFit] }}</template
        >
      </dd>
    </template>
    <template v-else>
      <dt class="text-muted">Foil</dt>
      <dd>{{ length(row.ball.ballLengthMm) }} of the shoot, close round it</dd>
    </template>
    <dt v-if="ringMm" class="text-muted">Bridging risk</dt>
    <dd v-if="ringMm">{{ RISK[row.bridging] }}</dd>
    <dt class="text-muted">Hormone</dt>
    <dd>{{ FIT[row.hormoneFit] }}</dd>
    <dt class="text-muted">Load</dt>
    <dd>
      {{ Math.round(row.load.utilisation * 100) }}% of what the limb bears: {{ LOAD[row.load.verdict] }}
    </dd>
    <template v-if="row.ball.mediumMl && row.leavesToKeep + row.leavesToTake">
      <dt class="text-muted">Leaf</dt>
      <dd>
        a full ball carries
        <template v-if="row.leavesToTake"
          >{{ row.leavesToKeep }} of these {{ row.leavesToKeep + row.leavesToTake }} leaves in a mist
          tent</template
        ><template v-else>all of them in a mist tent</template>
      </dd>
    </template>
    <dt v-if="row.ball.mediumMl" class="text-muted">Water</dt>
    <dd v-if="row.ball.mediumMl">
      every {{ row.topUpDays }} days at first<template v-if="row.dropsWaterTooFast"
        >: this wrap dries too fast here</template
      >
    </dd>
  </dl>
</template>
