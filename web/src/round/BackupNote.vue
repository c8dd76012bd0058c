<script setup lang="ts">
import { useQuery } from '@tanstack/vue-query'
import { computed } from 'vue'
import { useI18n } from 'vue-i18n'
import { backupAge } from './backupAge'
import { backups } from '@/shared/api/house'

/** Less, and a picture or a night more fills the disk. */
const LEAST_BYTES = 1_000_000_000
/** How old the newest backup is, for owners; loud when it is too old or not whole. */
const { t } = useI18n()
const { data } = useQuery(backups)
const age = computed(() => (data.value?.newestAt ? backupAge(data.value.newestAt, Date.now()) : null))
const words = computed(() => {
  const told = data.value
  if (!told) return ''
  if (told.unwritable) return t('backups.unwritable', { folder: told.unwritable })
  if (isCramped.value) return t('backups.room', { mb: Math.floor(told.freeBytes / 1e6) })
  if (told.problem) return t('backups.wrong', { problem: told.problem })
  if (!age.value) return t('backups.none', { folder: told.folder })
  if (!age.value.isFresh) {
    const old =
      age.value.days > 1 ? t('backups.days', age.value.days) : t('backups.hoursOld', age.value.hours)
    return t('backups.old', { age: old })
  }
  return t('backups.fresh', { age: t('backups.hours', age.value.hours), count: told.count })
})
const isCramped = computed(() => data.value !== undefined && data.value.freeBytes < LEAST_BYTES)
const isLoud = computed(
  () =>
    Boolean(data.value?.problem) ||
    isCramped.value ||
    Boolean(data.value?.unwritable) ||
    (age.value !== null && !age.value.isFresh),
)
</script>

<template>
  <p
    v-if="data?.nightly || isLoud"
    data-testid="backup-note"
    :role="isLoud ? 'alert' : undefined"
    :class="isLoud ? 'mb-3 border-l-4 border-rust bg-rust-pale p-3' : 'mb-2 text-sm text-muted'"
  >
    {{ words }}
  </p>
</template>
