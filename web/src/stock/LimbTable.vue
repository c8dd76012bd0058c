<script setup lang="ts">
import type { Schemas } from '@/shared/api/client'
import { show } from '@/shared/quantity'
import { useSession } from '@/shared/session'

/** The limbs side by side, the best first, each weighed line by line. */
defineProps<{ limbs: Schemas['LimbStand'][]; chosen: string; mayRecord: boolean }>()
const emit = defineEmits<{ choose: [name: string]; edit: [limb: Schemas['LimbStand']] }>()
const session = useSession()
const CRITERIA: [string, string][] = [
  ['WOOD', 'Wood'],
  ['THICKNESS', 'Thickness'],
  ['LEAN', 'Lean'],
  ['VIGOUR', 'Vigour'],
  ['LEAVES', 'Leaves'],
  ['PRUNING', 'Pruning'],
]
/** Told apart by shape as well as by colour. */
const MARKS: Record<number, { sign: string; tone: string; text: string }> = {
  2: { sign: '●', tone: 'text-lichen', text: 'as it should be' },
  1: { sign: '◐', tone: 'text-sap', text: 'it will do' },
  0: { sign: '○', tone: 'text-rust', text: 'against it' },
}
const line = (stand: Schemas['LimbStand'], criterion: string) =>
  stand.lines.find((one) => one.criterion === criterion)
</script>

<template>
  <div class="relative overflow-x-auto" tabindex="0" role="region" aria-label="Limbs side by side">
    <table class="w-full min-w-max border-collapse text-left" data-testid="limbs">
      <thead>
        <tr class="align-top">
          <td></td>
          <th
            v-for="one in limbs"
            :key="one.limb.name"
            scope="col"
            class="max-w-56 border-b border-ink p-2"
            :class="one.limb.name === chosen ? 'bg-card' : ''"
          >
            <button
              class="min-h-10 cursor-pointer text-left text-lg font-bold underline underline-offset-2"
              :aria-pressed="one.limb.name === chosen"
              @click="emit('choose', one.limb.name)"
            >
              {{ one.limb.name }}
            </button>
            <p class="font-normal" :class="one.limb.goneOn ? 'text-muted' : ''">{{ one.advice }}</p>
            <p
              v-for="remark in one.remarks"
              :key="remark.key"
              class="mt-1 border-l-4 p-1 text-sm font-normal"
              :class="remark.level === 'BLOCK' ? 'border-rust bg-rust-pale' : 'border-sap bg-sap-pale'"
            >
              {{ remark.sentence }}
            </p>
          </th>
        </tr>
      </thead>
      <tbody>
        <tr v-for="[code, text] in CRITERIA" :key="code" class="align-top">
          <th scope="row" class="border-b border-line py-2 pr-3 font-normal text-muted">{{ text }}</th>
          <td
            v-for="one in limbs"
            :key="one.limb.name"
            class="max-w-56 border-b border-line p-2"
            :class="one.limb.name === chosen ? 'bg-card' : ''"
          >
            <template v-if="line(one, code)">
              <span :class="MARKS[line(one, code)!.points]!.tone" aria-hidden="true">{{
                MARKS[line(one, code)!.points]!.sign
              }}</span>
              <span class="sr-only">{{ MARKS[line(one, code)!.points]!.text }}: </span>
              {{ line(one, code)!.sentence }}
            </template>
          </td>
        </tr>
        <tr class="align-top">
          <th scope="row" class="py-2 pr-3 font-normal text-muted">Together</th>
          <td
            v-for="one in limbs"
            :key="one.limb.name"
            class="max-w-56 p-2"
            :class="one.limb.name === chosen ? 'bg-card' : ''"
          >
            <b>{{ one.points }}</b> of {{ one.most }}
            <p class="text-sm text-muted">
              {{ show(one.lengthMm, 'length', session.units) }}
              {{ one.cutBackOn ? 'left of it' : 'long' }}, {{ one.nodes }} nodes<template v-if="one.ever"
                >, {{ one.ever }} set on it so far</template
              >
            </p>
            <p v-if="one.limb.note" class="text-sm">{{ one.limb.note }}</p>
            <div v-if="mayRecord" class="flex gap-4">
              <RouterLink
                v-if="one.more"
                class="link flex min-h-12 items-center"
                :to="{
                  name: 'bench',
                  query: { mother: String(one.limb.motherId), limb: String(one.limb.id) },
                }"
                :aria-label="`Set on it: ${one.limb.name}`"
                >Set on it</RouterLink
              >
              <button class="link min-h-12" :aria-label="`Edit ${one.limb.name}`" @click="emit('edit', one)">
                Edit
              </button>
            </div>
          </td>
        </tr>
      </tbody>
    </table>
  </div>
</template>
