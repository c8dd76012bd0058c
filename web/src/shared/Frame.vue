<script setup lang="ts">
import { Menu, MenuButton, MenuItem, MenuItems } from '@headlessui/vue'
import { useQueryClient } from '@tanstack/vue-query'
import { computed, ref, watch } from 'vue'
import { useI18n } from 'vue-i18n'
import { useRoute, useRouter } from 'vue-router'
import { connection } from './device/connection'
import { useOutbox } from './device/outbox'
import SyncNote from './device/SyncNote.vue'
import KeyHelp from './KeyHelp.vue'
import SignOut from './SignOut.vue'
import { useSession, type Units } from './session'
import DemoClock from './ui/DemoClock.vue'
import RecalculationNote from './ui/RecalculationNote.vue'
import { useKeys } from './useKeys'

const { t } = useI18n()
const session = useSession()
const outbox = useOutbox()
const queries = useQueryClient()
const route = useRoute()
const router = useRouter()
const search = ref('')
const searchField = ref<HTMLInputElement | null>(null)

// in the order of the job, from the mother to the house that all of it stands in
const nodes = [
  { name: 'season', label: 'Season' },
  { name: 'stock', label: 'Stock' },
  { name: 'bench', label: 'Bench' },
  { name: 'round', label: 'Round' },
  { name: 'shed', label: 'Shed' },
  { name: 'layers', label: 'Layers' },
  { name: 'ledger', label: 'Ledger' },
  { name: 'house', label: 'House' },
]

useKeys([
  { key: '/', words: 'Find a layer', run: () => searchField.value?.select() },
  ...nodes.map(({ name, label }, index) => ({
    key: String(index + 1),
    words: label,
    run: () => void router.push({ name }),
  })),
])

function isCurrent(name: string): boolean {
  return route.name === name || route.meta.under === name
}

function find(): void {
  const text = search.value.trim()
  if (text) void router.push({ name: 'layers', query: { q: text } })
}

// what this device recorded has arrived: whatever is shown may be another by it
watch(
  () => outbox.latest,
  () => void queries.invalidateQueries(),
)

async function choose(units: Units['system']): Promise<void> {
  await session.chooseUnits(units)
  await queries.invalidateQueries()
}

const leaving = ref(false)
const unsent = computed(() => outbox.waiting.length)

const heardAt = computed(() =>
  connection.lastSync.value
    ? new Date(connection.lastSync.value).toLocaleTimeString([], { hour: '2-digit', minute: '2-digit' })
    : 'no time yet',
)

async function signOut(): Promise<void> {
  leaving.value = false
  await session.signOut()
  queries.clear()
}

function askToSignOut(): void {
  if (unsent.value) leaving.value = true
  else void signOut()
}
outbox.start()
</script>

<template>
  <a href="#content" class="sr-only focus:not-sr-only focus:absolute focus:z-30 focus:bg-card focus:p-3"
    >Skip to content</a
  >
  <div class="flex min-h-screen flex-col lg:flex-row">
    <nav
      aria-label="Main"
      class="fixed inset-x-0 bottom-0 z-10 border-t border-line bg-paper lg:sticky lg:inset-auto lg:top-0 lg:h-screen lg:w-32 lg:shrink-0 lg:border-t-0 lg:border-r"
    >
      <p class="hidden px-6 pt-5 text-lg leading-tight font-bold lg:block">Kind<br />Girdle</p>
      <div class="relative lg:mt-3 lg:pl-6">
        <div
          class="absolute inset-x-3 top-3 h-1.5 rounded-full bg-bark lg:inset-x-auto lg:top-1 lg:bottom-0 lg:left-[30px] lg:h-auto lg:w-1.5"
          aria-hidden="true"
        ></div>
        <ul class="flex justify-around lg:block">
          <li v-for="node in nodes" :key="node.name">
            <RouterLink
              :to="{ name: node.name }"
              class="relative grid min-h-14 min-w-12 content-end justify-items-center pb-1 text-[0.8125rem] lg:flex lg:min-h-16 lg:items-center lg:gap-4 lg:pb-0 lg:text-base"
              :class="isCurrent(node.name) ? 'font-bold' : 'text-muted'"
              :aria-current="isCurrent(node.name) ? 'page' : undefined"
            >
              <svg
                viewBox="0 0 24 24"
                class="absolute top-0.5 size-6 lg:static lg:-ml-1.5 lg:size-7"
                aria-hidden="true"
              >
                <path
                  v-if="isCurrent(node.name)"
                  d="M3 3h9c6 0 9 4 9 9v9h-9c-6 0-9-4-9-9z"
                  class="fill-lichen stroke-bark-deep"
                />
                <rect v-else x="3" y="10" width="18" height="4" class="fill-bark" />
              </svg>
              {{ node.label }}
            </RouterLink>
          </li>
        </ul>
      </div>
    </nav>
    <div class="min-w-0 grow pb-20 lg:pb-6">
      <header class="flex flex-wrap items-center gap-x-4 gap-y-2 border-b border-line px-4 py-2 lg:px-6">
        <form
          role="search"
          class="order-1 min-w-0 grow basis-40 sm:order-none sm:max-w-72"
          @submit.prevent="find"
        >
          <input
            ref="searchField"
            v-model="search"
            type="search"
            class="input"
            aria-label="Find a layer by code or any word"
            placeholder="Find: code or any word"
          />
        </form>
        <SyncNote />
        <DemoClock v-if="session.session?.demo" class="order-3 w-full sm:order-none sm:ml-auto sm:w-auto" />
        <Menu
          as="div"
          class="relative order-2 ml-auto sm:order-none"
          :class="{ 'sm:ml-0': session.session?.demo }"
        >
          <MenuButton class="btn border-transparent bg-transparent"
            ><span class="sm:hidden">{{ session.person?.fullName.split(' ')[0] }} ▾</span>
            <span class="hidden sm:inline">{{ session.person?.fullName }} ▾</span></MenuButton
          >
          <MenuItems class="absolute right-0 z-20 w-60 border border-bark bg-card p-2 shadow-lg">
            <p class="px-3 py-2 text-sm text-muted">
              {{
                { OWNER: 'Owner', GROWER: 'Grower', VIEWER: 'Viewer: looks on only' }[session.person!.role]
              }}
            </p>
            <MenuItem v-slot="{ active }">
              <button
                class="flex min-h-12 w-full items-center px-3 text-left"
                :class="{ 'bg-wood': active }"
                data-testid="units"
                @click="choose(session.units.system === 'US' ? 'METRIC' : 'US')"
              >
                {{
                  session.units.system === 'US'
                    ? 'Read in metric (mm, mL, C)'
                    : 'Read in US units (in, fl oz, F)'
                }}
              </button>
            </MenuItem>
            <MenuItem v-slot="{ active }">
              <RouterLink
                class="flex min-h-12 w-full flex-col justify-center px-3"
                :class="{ 'bg-wood': active }"
                :to="{ name: 'device' }"
              >
                On this device
                <span class="text-sm text-muted">{{
                  unsent ? `${unsent} to send` : `all sent, last heard at ${heardAt}`
                }}</span>
              </RouterLink>
            </MenuItem>
            <MenuItem v-slot="{ active }">
              <RouterLink
                class="flex min-h-12 w-full items-center px-3"
                :class="{ 'bg-wood': active }"
                :to="{ name: 'me' }"
                >{{ t('me.title') }}</RouterLink
              >
            </MenuItem>
            <p class="hidden px-3 py-2 text-sm text-muted lg:block"><kbd>?</kbd> lists the keys</p>
            <MenuItem v-slot="{ active }">
              <button
                class="flex min-h-12 w-full items-center px-3 text-left"
                :class="{ 'bg-wood': active }"
                @click="askToSignOut"
              >
                Sign out
              </button>
            </MenuItem>
          </MenuItems>
        </Menu>
      </header>
      <RecalculationNote />
      <main id="content" class="p-4 lg:px-6" tabindex="-1"><slot /></main>
    </div>
  </div>
  <KeyHelp />
  <SignOut :open="leaving" :waiting="unsent" @close="leaving = false" @out="signOut" />
</template>
