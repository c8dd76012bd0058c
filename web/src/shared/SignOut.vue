<script setup lang="ts">
import { Dialog, DialogPanel, DialogTitle } from '@headlessui/vue'
import { useOutbox } from './device/outbox'

/** Signing out while records wait: they stay, but nobody else can send them. */
defineProps<{ open: boolean; waiting: number }>()
const emit = defineEmits<{ close: []; out: [] }>()
const outbox = useOutbox()

async function sendFirst(): Promise<void> {
  await outbox.flush()
  if (!outbox.waiting.length) emit('out')
}
</script>

<template>
  <Dialog :open="open" class="relative z-40" @close="emit('close')">
    <div class="fixed inset-0 bg-ink/40" aria-hidden="true"></div>
    <div class="fixed inset-0 grid place-items-center p-4">
      <DialogPanel class="max-w-md rounded-sm border border-bark bg-card p-6" data-testid="sign-out-warning">
        <DialogTitle class="text-lg font-bold">
          {{ waiting }} {{ waiting === 1 ? 'record has' : 'records have' }} not been sent
        </DialogTitle>
        <p class="my-3">
          They stay on this device, and go when you sign in here again. Nobody else can send them for you.
        </p>
        <div class="flex flex-wrap gap-2">
          <button class="btn btn-main" @click="sendFirst">Send them first</button>
          <button class="btn" @click="emit('close')">Stay signed in</button>
          <button class="btn btn-rust" @click="emit('out')">Sign out all the same</button>
        </div>
      </DialogPanel>
    </div>
  </Dialog>
</template>
