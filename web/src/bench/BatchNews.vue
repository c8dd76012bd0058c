<script setup lang="ts">
import { useI18n } from 'vue-i18n'
import type { Waiting } from '@/shared/device/store'

/** What became of the batches that were sent. */
defineProps<{ done: string[]; waiting: Waiting[] }>()
const { t } = useI18n()
const emit = defineEmits<{ flush: []; back: [one: Waiting] }>()
</script>

<template>
  <div v-if="done.length" class="mt-4 border-l-8 border-lichen bg-lichen-pale p-4" data-testid="set-done">
    <p class="text-lg font-bold">
      {{ done.length === 1 ? 'One layer is set.' : `${done.length} layers are set.` }}
    </p>
    <p>
      Write on the labels:
      <template v-for="(code, index) in done" :key="code"
        ><template v-if="index">, </template
        ><RouterLink class="link font-bold" :to="{ name: 'layer', params: { code } }">{{
          code
        }}</RouterLink></template
      >.
    </p>
    <p class="mt-2">
      <RouterLink
        class="btn inline-flex items-center"
        data-testid="print-labels"
        :to="{ name: 'labels', query: { codes: done.join(',') } }"
        >Print the labels</RouterLink
      >
    </p>
  </div>
  <div
    v-for="one in waiting"
    :key="one.id"
    class="mt-4 flex flex-wrap items-center gap-3 border-l-8 p-3"
    :class="one.refusal ? 'border-rust bg-rust-pale' : 'border-water bg-water-pale'"
    role="status"
    data-testid="waiting"
  >
    <p class="grow">
      <b>{{ one.about }}:</b>
      {{ one.refusal ? t('outbox.notTaken', { why: one.refusal }) : t('outbox.waits') }}
    </p>
    <button v-if="!one.refusal" type="button" class="btn" @click="emit('flush')">Send now</button>
    <button v-else type="button" class="btn" @click="emit('back', one)">Back to the bench</button>
  </div>
</template>
