<script setup lang="ts">
import { ref } from 'vue'
import { useI18n } from 'vue-i18n'
import { put, type Schemas } from '@/shared/api/client'
import Choice from '@/shared/ui/Choice.vue'
import Field from '@/shared/ui/Field.vue'
import ProblemNote from '@/shared/ui/ProblemNote.vue'
import { useCommand } from '@/shared/useCommand'

/** What an owner changes of somebody: the name that is shown, the role, or that they have left. */
const props = defineProps<{ person: Schemas['PersonView']; isMe: boolean }>()
const emit = defineEmits<{ saved: [person: Schemas['PersonView']]; back: [] }>()
const { t } = useI18n()
const { saving, problem, stale, send, error } = useCommand<Schemas['PersonView']>()
const fullName = ref(props.person.fullName)
const role = ref<string>(props.person.role)
const disabled = ref(Boolean(props.person.disabledAt))
const roles: [string, string][] = (['GROWER', 'VIEWER', 'OWNER'] as const).map((one) => [
  one,
  t(`people.roles.${one}`),
])

/** What was on the screen; what another owner has changed since is shown, and the next save counts. */
let seen = props.person

function edit(): Promise<Schemas['PersonView'] | null> {
  return send((commandId) =>
    put('/api/v1/people/{id}', {
      path: { id: seen.id },
      body: {
        fullName: fullName.value.trim(),
        role: role.value,
        disabled: disabled.value,
        version: seen.version,
      },
      commandId,
    }),
  )
}

async function save(): Promise<void> {
  let changed = await edit()
  if (!changed && stale.value) {
    const now = stale.value
    // a password or units of their own are nothing that is changed here
    const isTheSame =
      now.fullName === seen.fullName && now.role === seen.role && now.disabledAt === seen.disabledAt
    seen = now
    if (isTheSame) changed = await edit()
  }
  if (changed) emit('saved', changed)
}
</script>

<template>
  <form
    class="panel col-span-full my-2 grid gap-3"
    :aria-label="t('people.changeOf', { name: person.fullName })"
    @submit.prevent="save"
  >
    <Field v-model="fullName" :label="t('people.theirName')" :error="error('fullName')" />
    <template v-if="!isMe">
      <Choice v-model="role" :label="t('people.may')" :options="roles" />
      <label class="flex min-h-12 items-center gap-3">
        <input v-model="disabled" type="checkbox" class="size-6 accent-lichen" data-testid="has-left" />
        <span>
          <b>{{ t('people.leaves') }}</b>
          <span class="eyebrow block">{{ t('people.leavesHint') }}</span>
        </span>
      </label>
    </template>
    <ProblemNote :problem="problem" @retry="save" />
    <div class="flex gap-2">
      <button class="btn btn-main" :disabled="saving">{{ t('people.save') }}</button>
      <button type="button" class="btn" @click="emit('back')">{{ t('people.back') }}</button>
    </div>
  </form>
</template>
