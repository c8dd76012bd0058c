<script setup lang="ts">
import { useQuery } from '@tanstack/vue-query'
import { type Schemas, post } from '@/shared/api/client'
import { dayText } from '@/shared/dates'
import { useSession } from '@/shared/session'
import { useCommand } from '@/shared/useCommand'
import ProblemNote from '@/shared/ui/ProblemNote.vue'
import { allTargets } from '@/shared/api/season'

/** What is wanted, and how far it has come. */
const props = defineProps<{ today: string }>()
const session = useSession()
const { data: targets, error, refetch } = useQuery(allTargets)
const { problem, send } = useCommand()
const WIDTH = 400
const HEIGHT = 34
/** The bar reaches to what is wanted, or to what may come if that is more. */
const most = (target: Schemas['TargetView']) => Math.max(target.wanted, target.high, 1)
/** Room for the mark of the likeliest number at either end. */
const END = 7
const x = (target: Schemas['TargetView'], plants: number) => END + (plants / most(target)) * (WIDTH - 2 * END)

const close = (target: Schemas['TargetView']) =>
  send((commandId) =>
    post('/api/v1/targets/{targetId}/closing', {
      path: { targetId: target.id },
      body: { version: target.version },
      commandId,
    }),
  )

function likely(target: Schemas['TargetView']): string {
  return target.low === target.high
    ? `likely ${target.low}`
    : `likely ${Math.round(target.expected)}, between ${target.low} and ${target.high}`
}
</script>

<template>
  <section v-if="targets?.length || error" class="mt-8" aria-labelledby="targets-title">
    <h2 id="targets-title" class="border-b-2 border-ink pb-1 text-lg">What is wanted</h2>
    <ProblemNote :problem="error ?? problem" @retry="refetch()" />
    <ul>
      <li
        v-for="target in targets"
        :key="target.id"
        class="grid gap-x-6 gap-y-1 border-b border-line py-3 lg:grid-cols-[1fr_25rem]"
        data-testid="target"
      >
        <div>
          <p>
            <b>{{ target.name }}</b>: {{ target.wanted }} {{ target.common
            }}<template v-if="target.variety"> ‘{{ target.variety }}’</template> by
            {{ dayText(target.by, props.today) }}
          </p>
          <p class="text-lg font-bold">{{ target.headline }}</p>
        </div>
        <div>
          <svg
            :viewBox="`0 0 ${WIDTH} ${HEIGHT}`"
            class="block w-full"
            role="img"
            :aria-label="`${target.released} released, ${likely(target)}, ${target.wanted} wanted`"
          >
            <rect :x="END" y="12" :width="WIDTH - 2 * END" height="10" class="fill-card stroke-line" />
            <rect :x="END" y="12" :width="x(target, target.released) - END" height="10" class="fill-lichen" />
            <line
              :x1="x(target, target.low)"
              :x2="x(target, target.high)"
              y1="17"
              y2="17"
              class="stroke-bark"
              stroke-width="3"
            />
            <circle :cx="x(target, target.expected)" cy="17" r="5" class="fill-bark-deep" />
            <path :d="`M${x(target, target.wanted)},4 v26`" class="stroke-rust" stroke-width="2.5" />
          </svg>
          <p>
            {{ target.set }} set, {{ target.rooted }} rooted, {{ target.potted }} in pots,
            {{ target.released }} released, {{ target.lost }} lost; {{ likely(target) }}.
          </p>
          <p class="flex items-center justify-between text-sm text-muted">
            <span>Counts what is set from {{ dayText(target.countsFrom, props.today) }}</span>
            <button
              v-if="session.mayRecord"
              class="link min-h-10"
              :aria-label="`No longer wanted: ${target.name}`"
              @click="close(target)"
            >
              No longer wanted
            </button>
          </p>
        </div>
      </li>
    </ul>
  </section>
</template>
