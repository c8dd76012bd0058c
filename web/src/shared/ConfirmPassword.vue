<script setup lang="ts">
import { Dialog, DialogPanel, DialogTitle } from '@headlessui/vue'
import { ref } from 'vue'
import { useI18n } from 'vue-i18n'
import { answered, asking } from './confirmation'
import Field from './ui/Field.vue'
import ProblemNote from './ui/ProblemNote.vue'
import { useCommand } from './useCommand'
import { post } from '@/shared/api/client'

/** The password once more, before what can shut others out or replace everything. */
const { t } = useI18n()
const password = ref('')
const { saving, problem, ask, error } = useCommand<undefined>()

async function confirm(): Promise<void> {
  await ask((commandId) => post('/api/v1/me/confirmation', { body: { password: password.value }, commandId }))
  if (problem.value) return
  close(true)
}

function close(confirmed: boolean): void {
  password.value = ''
  problem.value = null
  answered(confirmed)
}
</script>

<template>
  <Dialog :open="asking" class="relative z-50" @close="close(false)">
    <div class="fixed inset-0 bg-ink/40" aria-hidden="true"></div>
    <div class="fixed inset-0 grid place-items-center p-4">
      <DialogPanel
        class="w-full max-w-md rounded-sm border border-bark bg-card p-6"
        data-testid="confirm-password"
      >
        <DialogTitle class="text-lg font-bold">{{ t('confirm.title') }}</DialogTitle>
        <p class="my-3">{{ t('confirm.why') }}</p>
        <form class="grid gap-4" @submit.prevent="confirm">
          <Field
            v-model="password"
            :label="t('confirm.password')"
            type="password"
            :error="error('password')"
          />
          <ProblemNote v-if="!error('password')" :problem="problem" @retry="confirm" />
          <div class="flex gap-2">
            <button class="btn btn-main" :disabled="saving || !password">{{ t('confirm.go') }}</button>
            <button type="button" class="btn" @click="close(false)">{{ t('confirm.back') }}</button>
          </div>
        </form>
      </DialogPanel>
    </div>
  </Dialog>
</template>
