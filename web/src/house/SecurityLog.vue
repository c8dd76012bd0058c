<script setup lang="ts">
import { useInfiniteQuery } from '@tanstack/vue-query'
import { computed } from 'vue'
import { useI18n } from 'vue-i18n'
import { type Schemas } from '@/shared/api/client'
import { browserName } from '@/me/browserName'
import { dayText, timeText } from '@/shared/dates'
import { useSession } from '@/shared/session'
import ProblemNote from '@/shared/ui/ProblemNote.vue'
import { securityEvents } from '@/shared/api/house'

/** Who signed in, who was refused, what was taken out: for owners. */
const { t } = useI18n()
const session = useSession()
const { data, error, refetch, hasNextPage, fetchNextPage, isPending } = useInfiniteQuery(securityEvents)
const events = computed(() => data.value?.pages.flat() ?? [])
/** As people call it: browsers and roles have names of their own. */
function detail(one: Schemas['EventView']): string {
  if (one.kind === 'SIGNED_IN') return browserName(one.detail)
  return one.detail.replace(/\b(OWNER|GROWER|VIEWER)\b/g, (role) => t(`people.role.${role}`))
}
const GRAVE = new Set(['SIGN_IN_REFUSED', 'SIGN_IN_SLOWED', 'REFUSED', 'NURSERY_TAKEN', 'RESTORED'])
</script>

<template>
  <section aria-labelledby="log-title" class="max-w-5xl">
    <h1 id="log-title" class="text-2xl">{{ t('log.title') }}</h1>
    <p class="mt-1 mb-4 text-muted">{{ t('log.intro') }}</p>
    <ProblemNote :problem="error" @retry="refetch()" />
    <p v-if="!isPending && !events.length">{{ t('log.empty') }}</p>
    <div v-if="events.length" class="overflow-x-auto" tabindex="0">
      <table class="w-full border-collapse text-left" data-testid="security-log">
        <thead>
          <tr class="border-b-2 border-ink">
            <th class="py-1 pr-4">{{ t('log.when') }}</th>
            <th class="py-1 pr-4">{{ t('log.what') }}</th>
            <th class="py-1 pr-4">{{ t('log.who') }}</th>
            <th class="py-1 pr-4">{{ t('log.from') }}</th>
            <th class="py-1">{{ t('log.detail') }}</th>
          </tr>
        </thead>
        <tbody>
          <tr v-for="one in events" :key="one.id" class="border-b border-line align-top">
            <td class="py-2 pr-4 whitespace-nowrap">
              {{ dayText(one.at.slice(0, 10), session.today) }}, {{ timeText(one.at) }}
            </td>
            <td class="py-2 pr-4 whitespace-nowrap" :class="{ 'font-bold text-rust': GRAVE.has(one.kind) }">
              {{ t(`log.kinds.${one.kind}`) }}
            </td>
            <td class="py-2 pr-4">{{ one.person }}</td>
            <td class="py-2 pr-4">{{ one.address }}</td>
            <td class="py-2 break-all text-muted">{{ detail(one) }}</td>
          </tr>
        </tbody>
      </table>
    </div>
    <button v-if="hasNextPage" class="btn mt-4" @click="fetchNextPage()">{{ t('log.more') }}</button>
  </section>
</template>
