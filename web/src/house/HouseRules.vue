<script setup lang="ts">
import { Disclosure, DisclosureButton, DisclosurePanel } from '@headlessui/vue'
import { useQuery } from '@tanstack/vue-query'
import { computed, ref } from 'vue'
import { useRoute } from 'vue-router'
import type { Schemas } from '@/shared/api/client'
import { houseRules } from '@/shared/api/houseRules'
import ProblemNote from '@/shared/ui/ProblemNote.vue'
import { useCommand } from '@/shared/useCommand'
import WhatMoves from './WhatMoves.vue'
import { post, put } from '@/shared/api/client'

/** Every figure that the sums turn on: read by all, changed by an owner. */
type Rule = Schemas['RuleView']
defineProps<{ locked: boolean }>()
const emit = defineEmits<{ saved: [] }>()
const GROUPS: [string, string[]][] = [
  ['Heat and seasons', ['cover', 'exposure', 'phenology', 'climate', 'stage']],
  ['What speeds roots', ['wound', 'unwounded', 'wood', 'root-run', 'vigour', 'medium', 'hormone']],
  ['Hormone bands', ['hormone-band']],
  ['Cuts, ball and load', ['ring', 'ball', 'film', 'position', 'bridging', 'load', 'container', 'shopping']],
  ['Water in the ball', ['top-up', 'wrap']],
  ['When to look', ['look']],
  ['The next step', ['next', 'job']],
  ['Minutes of work', ['minutes']],
  ['Windows, mothers and limbs', ['window', 'mother', 'limb']],
  ['Severing', ['sever', 'balance', 'shelter']],
  ['Pots and first media', ['pot', 'tray', 'ground', 'stability', 'stand']],
  ['Hardening off', ['ladder', 'rung', 'harden']],
  ['What is believed before records', ['prior']],
  ['The ledger', ['ledger']],
]

const rules = useQuery(houseRules)
// a page that found another figure leads here with it typed in
const asked = useRoute().query
const edits = ref<Record<string, string>>(
  asked.rule && asked.value ? { [String(asked.rule)]: String(asked.value) } : {},
)
const search = ref(String(asked.rule ?? ''))
const moves = ref<Schemas['Moves'] | null>(null)
const { saving, problem, send, ask, error } = useCommand()

const found = computed(() => {
  const wanted = search.value.trim().toLowerCase()
  return (rules.data.value?.rules ?? []).filter((rule) =>
    `${rule.name} ${rule.reason} ${rule.code}`.toLowerCase().includes(wanted),
  )
})
const groups = computed(() =>
  GROUPS.map(([title, prefixes]) => ({
    title,
    rules: found.value.filter((rule) => prefixes.includes(rule.code.split('.')[0]!)),
  })).filter((group) => group.rules.length),
)
const changed = computed(() =>
  (rules.data.value?.rules ?? []).filter(
    (rule) => edits.value[rule.code] !== undefined && edits.value[rule.code]!.trim() !== String(rule.value),
  ),
)

function text(rule: Rule): string {
  return edits.value[rule.code] ?? String(rule.value)
}

function type(rule: Rule, value: string): void {
  edits.value = { ...edits.value, [rule.code]: value }
  moves.value = null
}

function body() {
  return {
    number: rules.data.value?.number ?? 0,
    values: Object.fromEntries(
      changed.value.map((rule) => {
        const typed = text(rule).trim()
        return [rule.code, typed !== '' && Number.isFinite(Number(typed)) ? Number(typed) : typed]
      }),
    ),
  }
}

async function preview(): Promise<void> {
  moves.value = (await ask((commandId) =>
    post('/api/v1/house-rules/previews', { body: body(), commandId }),
  )) as Schemas['Moves'] | null
}

async function save(): Promise<void> {
  if (!(await send((commandId) => put('/api/v1/house-rules', { body: body(), commandId })))) return
  edits.value = {}
  moves.value = null
  emit('saved')
}

function discard(): void {
  edits.value = {}
  moves.value = null
}
</script>

<template>
  <section aria-labelledby="rules-title" class="max-w-4xl">
    <h2 id="rules-title" class="border-b-2 border-ink pb-1 text-lg">House rules</h2>
    <p class="mt-2 max-w-prose">
      Every figure that the software reckons with, why it is what it is, and how far you may move it. What
      your own records teach overrules them.
    </p>
    <ProblemNote :problem="rules.error.value" @retry="rules.refetch()" />
    <input
      v-model="search"
      type="search"
      class="input my-3 max-w-sm"
      aria-label="Find a house rule"
      placeholder="Find a rule, like frost or ring"
    />
    <p v-if="rules.data.value && !found.length" class="text-muted">No rule has that word in it.</p>
    <Disclosure
      v-for="group in groups"
      :key="group.title + (search.trim() ? ' found' : '')"
      v-slot="{ open }"
      as="div"
      :default-open="search.trim() !== ''"
      class="border-b border-line"
    >
      <DisclosureButton
        class="flex min-h-12 w-full cursor-pointer items-center justify-between gap-3 text-left"
      >
        <b>{{ group.title }}</b>
        <span class="text-muted">
          {{ group.rules.length }}
          <template v-if="group.rules.some((rule) => rule.value !== rule.shipped)">
            · {{ group.rules.filter((rule) => rule.value !== rule.shipped).length }} changed here</template
          >
          <span aria-hidden="true">{{ open ? ' −' : ' +' }}</span>
        </span>
      </DisclosureButton>
      <DisclosurePanel as="ul" class="pb-3">
        <li
          v-for="rule in group.rules"
          :key="rule.code"
          class="grid gap-x-4 border-t border-line py-2 sm:grid-cols-[1fr_12rem]"
        >
          <label :for="rule.code">
            <b>{{ rule.name }}</b>
            <span class="block text-muted">{{ rule.reason }}</span>
          </label>
          <div>
            <span class="flex items-center gap-2">
              <input
                :id="rule.code"
                class="input"
                inputmode="decimal"
                :value="text(rule)"
                :disabled="locked"
                :aria-describedby="`${rule.code}-range`"
                :aria-invalid="error(`values.${rule.code}`) ? 'true' : undefined"
                @input="type(rule, ($event.target as HTMLInputElement).value)"
              />
              <span v-if="rule.unit" class="shrink-0 text-muted">{{ rule.unit }}</span>
            </span>
            <span v-if="error(`values.${rule.code}`)" class="text-sm font-bold text-rust" role="alert">
              {{ error(`values.${rule.code}`) }}
            </span>
            <span :id="`${rule.code}-range`" class="eyebrow block">
              {{ rule.low }} to {{ rule.high
              }}<template v-if="rule.value !== rule.shipped || text(rule).trim() !== String(rule.value)"
                >; shipped {{ rule.shipped }}
                <button
                  v-if="!locked && text(rule).trim() !== String(rule.shipped)"
                  type="button"
                  class="link min-h-6"
                  :aria-label="`${rule.name}: as shipped`"
                  @click="type(rule, String(rule.shipped))"
                >
                  as shipped
                </button></template
              >
            </span>
          </div>
        </li>
      </DisclosurePanel>
    </Disclosure>
    <form
      v-if="changed.length"
      class="sticky bottom-0 z-10 mt-3 grid gap-3 border-2 border-sap-bright bg-sap-pale p-3"
      aria-label="Changed rules"
      @submit.prevent="save"
    >
      <p>
        <b>{{ changed.length === 1 ? 'One figure' : `${changed.length} figures` }} changed:</b>
        {{ changed.map((rule) => `${rule.name} ${rule.value} → ${text(rule)}`).join('; ') }}
      </p>
      <WhatMoves v-if="moves" :moves="moves" />
      <ProblemNote :problem="problem" @retry="save" />
      <div class="flex flex-wrap gap-2">
        <button type="button" class="btn" :disabled="saving" data-testid="what-moves" @click="preview">
          What would move?
        </button>
        <button class="btn btn-main" :disabled="saving" data-testid="save-rules">Save the rules</button>
        <button type="button" class="btn" @click="discard">Leave them as they are</button>
      </div>
    </form>
  </section>
</template>
