<script setup lang="ts">
import { useCommand } from '@/shared/useCommand'
import { Dialog, DialogPanel } from '@headlessui/vue'
import { useQuery } from '@tanstack/vue-query'
import { computed, ref } from 'vue'
import { useI18n } from 'vue-i18n'
import { type Schemas, remove } from '@/shared/api/client'
import { dayText } from '@/shared/dates'
import { useSession } from '@/shared/session'
import { toast } from '@/shared/ui/toasts'
import { layerPhotos } from '@/shared/api/layers'

/** The pictures of a layer, the newest first. */
const props = defineProps<{ code: string; today: string; mayChange: boolean }>()
const { problem, send } = useCommand()
const { data: photos } = useQuery(layerPhotos(props.code))
const { t } = useI18n()
const open = ref<Schemas['PhotoView'] | null>(null)
const shown = computed(() => photos.value?.filter((one) => !one.withdrawnAt) ?? [])
/** Nothing goes without a trace. */
const gone = computed(() => photos.value?.filter((one) => one.withdrawnAt) ?? [])
const day = (instant: string) => dayText(instant.slice(0, 10), props.today)
const words = (one: Schemas['PhotoView']) => t('photos.of', { day: day(one.occurredAt), by: one.by })
const session = useSession()
const mayThrow = (one: Schemas['PhotoView']) =>
  props.mayChange && (session.isOwner || one.by === session.person?.fullName)

async function throwAway(one: Schemas['PhotoView']): Promise<void> {
  await send(() => remove('/api/v1/layers/{code}/photos/{id}', { path: { code: props.code, id: one.id } }))
  if (problem.value) return
  open.value = null
  toast(t('photos.thrown'))
}
</script>

<template>
  <section v-if="photos?.length" aria-labelledby="photos-title" data-testid="photos">
    <h2 id="photos-title" class="text-base">{{ t('photos.title') }}</h2>
    <ul class="mt-2 flex flex-wrap gap-3">
      <li v-for="one in shown" :key="one.id">
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
    <p v-for="one in gone" :key="one.id" class="mt-2 text-sm text-muted" data-testid="photo-gone">
      {{
        t('photos.gone', {
          day: day(one.occurredAt),
          by: one.by,
          who: one.withdrawnBy ?? '',
          when: day(one.withdrawnAt ?? one.occurredAt),
        })
      }}
    </p>
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
            <button v-if="mayThrow(open)" class="link min-h-12" @click="throwAway(open)">
              {{ t('photos.throwAway') }}
            </button>
            <button class="btn" @click="open = null">{{ t('photos.close') }}</button>
          </div>
        </DialogPanel>
      </div>
    </Dialog>
  </section>
</template>
