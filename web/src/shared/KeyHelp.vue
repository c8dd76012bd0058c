<script setup lang="ts">
import { Dialog, DialogPanel, DialogTitle, Switch, SwitchGroup, SwitchLabel } from '@headlessui/vue'
import { onMounted, onUnmounted, ref } from 'vue'
import { press, useKeys, useKnownKeys } from './useKeys'

/** Listens to the keys, and lists them on "?". */
const open = ref(false)
const close = ref<HTMLElement | null>(null)
const { keys, on, turn } = useKnownKeys()
useKeys([{ key: '?', words: 'These keys', run: () => (open.value = true) }])

onMounted(() => document.addEventListener('keydown', press))
onUnmounted(() => document.removeEventListener('keydown', press))
</script>

<template>
  <Dialog :open="open" :initial-focus="close" class="relative z-40" @close="open = false">
    <div class="fixed inset-0 bg-ink/50" aria-hidden="true"></div>
    <div class="fixed inset-0 grid place-items-center overflow-y-auto p-4">
      <DialogPanel class="w-full max-w-md border-t-8 border-lichen bg-card p-6 shadow-lg">
        <DialogTitle class="text-xl font-bold">Keys</DialogTitle>
        <dl class="my-4 grid grid-cols-[4rem_1fr] gap-y-2">
          <template v-for="one in keys" :key="one.key">
            <dt>
              <kbd class="inline-grid min-w-9 justify-center border border-bark px-2 font-bold">{{
                one.key
              }}</kbd>
            </dt>
            <dd>{{ one.words }}</dd>
          </template>
        </dl>
        <SwitchGroup>
          <div class="flex min-h-12 items-center gap-3">
            <Switch
              :model-value="on"
              class="relative h-7 w-12 cursor-pointer border-2 border-bark"
              :class="on ? 'bg-lichen' : 'bg-paper'"
              @update:model-value="turn"
            >
              <span
                class="absolute inset-y-0.5 w-5 bg-bark"
                :class="on ? 'right-0.5 bg-card' : 'left-0.5'"
              ></span>
            </Switch>
            <SwitchLabel>Single keys work</SwitchLabel>
          </div>
        </SwitchGroup>
        <button ref="close" class="btn btn-main mt-4" @click="open = false">Close</button>
      </DialogPanel>
    </div>
  </Dialog>
</template>
