<script setup lang="ts">
import ShareBar from './ShareBar.vue'
import { type Line, type Table, useLedger } from './useLedger'
import { lineName } from './words'

/** What worked, line by line; every figure leads to the layers behind it, and two can be laid side by side. */
const props = defineProps<{ table: Table }>()
const chosen = defineModel<string[]>('chosen', { required: true })
const { behind } = useLedger()

function choose(value: string, on: boolean): void {
  // a third takes the place of the first
  chosen.value = on ? [...chosen.value, value].slice(-2) : chosen.value.filter((one) => one !== value)
}
const of = (line: Line | null, more: Record<string, string>) =>
  behind({ ...(line && line.value ? { [props.table.filter]: line.value } : {}), ...more })
const money = (amount: number) => `${amount.toFixed(2)} ${props.table.currency}`
</script>

<template>
  <div class="relative overflow-x-auto" tabindex="0" role="region" aria-label="What worked">
    <table class="w-full min-w-max border-collapse text-left" data-testid="ledger">
      <thead>
        <tr class="border-b-2 border-ink align-bottom text-sm">
          <td class="print:hidden"></td>
          <td></td>
          <th scope="col" class="px-2 py-1 text-right">Set</th>
          <th scope="col" class="px-2 py-1">Rooted</th>
          <th scope="col" class="px-2 py-1">Lived on</th>
          <th scope="col" class="px-2 py-1 text-right">Days to a full ball</th>
          <th scope="col" class="px-2 py-1 text-right">A plant released</th>
        </tr>
      </thead>
      <tbody>
        <tr
          v-for="line in [...table.lines, null]"
          :key="line?.value ?? 'all'"
          class="border-b border-line align-top"
          :class="{ 'border-t-2 border-t-ink font-bold': !line }"
          :data-line="line?.value ?? 'all'"
        >
          <td class="print:hidden">
            <label v-if="line" class="inline-flex min-h-12 min-w-10 items-center">
              <input
                type="checkbox"
                class="size-5 accent-lichen"
                :checked="chosen.includes(line.value)"
                @change="choose(line.value, ($event.target as HTMLInputElement).checked)"
              />
              <span class="sr-only">Lay {{ lineName(table.by, line.value, line.label) }} beside another</span>
            </label>
          </td>
          <th scope="row" class="py-2 pr-3">
            {{ line ? lineName(table.by, line.value, line.label) : 'All' }}
          </th>
          <td class="px-2 py-2 text-right">
            <RouterLink class="link" :to="of(line, {})">{{ (line ?? table.all).set }}</RouterLink>
            <span v-if="(line ?? table.all).underWay" class="block text-sm font-normal text-muted"
              >{{ (line ?? table.all).underWay }} under way</span
            >
          </td>
          <td class="px-2 py-2">
            <ShareBar :figure="(line ?? table.all).rooted" :few="table.few">
              <RouterLink class="link" :to="of(line, { outcome: 'ROOTED' })">{{
                (line ?? table.all).rooted.n
              }}</RouterLink>
              of
              <RouterLink class="link" :to="of(line, { outcome: 'ROOTING_KNOWN' })">{{
                (line ?? table.all).rooted.of
              }}</RouterLink>
            </ShareBar>
          </td>
          <td class="px-2 py-2">
            <ShareBar :figure="(line ?? table.all).established" :few="table.few">
              <RouterLink class="link" :to="of(line, { outcome: 'ESTABLISHED' })">{{
                (line ?? table.all).established.n
              }}</RouterLink>
              of
              <RouterLink class="link" :to="of(line, { outcome: 'ESTABLISHING_KNOWN' })">{{
                (line ?? table.all).established.of
              }}</RouterLink>
            </ShareBar>
          </td>
          <td class="px-2 py-2 text-right">
            <template v-if="(line ?? table.all).days">
              <b>{{ (line ?? table.all).days!.median }}</b>
              <span class="block text-sm font-normal text-muted">
                {{ (line ?? table.all).days!.low }} to {{ (line ?? table.all).days!.high }},
                <RouterLink class="link" :to="of(line, { outcome: 'SEEN_FULL' })"
                  >{{ (line ?? table.all).days!.seen }} seen</RouterLink
                >
              </span>
            </template>
            <span v-else class="text-sm text-muted">none full yet</span>
          </td>
          <td class="px-2 py-2 text-right">
            <template v-if="(line ?? table.all).minutesPerPlant !== null">
              {{ Math.round((line ?? table.all).minutesPerPlant!) }} min
              <span class="block text-sm font-normal text-muted">{{
                money((line ?? table.all).costPerPlant!)
              }}</span>
            </template>
            <span v-else class="text-sm text-muted">none released</span>
          </td>
        </tr>
      </tbody>
    </table>
  </div>
</template>
