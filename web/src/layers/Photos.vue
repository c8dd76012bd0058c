<script setup lang="ts">
import { Dialog, DialogPanel } from '@headlessui/vue'
import { useQuery } from '@tanstack/vue-query'
import { ref } from 'vue'
import { api, type Schemas } from '@/shared/api/client'
import { dayText } from '@/shared/dates'
import { toast } from '@/shared/ui/toasts'

/** The pictures of a layer, the newest first. */
const props = defineProps<{ code: string; today: string; mayChange: boolean }>()
const { data: photos, refetch } = useQuery({
  queryKey: ['layer', props.code, 'photos'],
  queryFn: () => api<Schemas['PhotoView'][]>('GET', `/layers/${props.code}/photos`),
})
const open = ref<Schemas['PhotoView'] | null>(null)
const words = (one: Schemas['PhotoView']) =>
  `Photo of ${dayText(one.occurredAt.slice(0, 10), props.today)}, by ${one.by}`

async function throwAway(one: Schemas['PhotoView']): Promise<void> {
  await api('DELETE', `/layers/${props.code}/photos/${one.id}`)
  open.value = null
  toast('The photo is no longer shown.')
  await refetch()
}
</script>

<template>
  <section v-if="photos?.length" aria-labelledby="photos-title" data-testid="photos">
    <h2 id="photos-title" class="text-base">Photos</h2>
    <ul class="mt-2 flex flex-wrap gap-3">
      <li v-for="one in photos" :key="one.id">
        <button class="block cursor-pointer" @click="open = one">
          <img
            :src="`/api/v1/photos/${one.hash}?small=true`"
            :alt="words(one)"
            class="h-32 border border-line"
            loading="lazy"
          />
        </button>
      </li>
    </ul>
    <Dialog v-if="open" :open="true" :aria-label="words(open)" class="relative z-40" @close="open = null">
      <div class="fixed inset-0 bg-ink/80" aria-hidden="true"></div>
      <div class="fixed inset-0 grid place-items-center p-2">
        <DialogPanel class="max-h-full overflow-auto bg-card p-2">
          <img
            :src="`/api/v1/photos/${open.hash}`"
            :alt="words(open)"
            :width="open.width"
            :height="open.height"
            class="max-h-[80dvh] w-auto"
          />
          <div class="flex flex-wrap items-center gap-4 p-2">
            <span class="grow">{{ words(open) }}</span>
            <button v-if="mayChange" class="link min-h-12" @click="throwAway(open)">Throw it away</button>
            <button class="btn" @click="open = null">Close</button>
          </div>
        </DialogPanel>
      </div>
    </Dialog>
  </section>
</template>
