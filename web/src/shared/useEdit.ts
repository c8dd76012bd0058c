import { ref } from 'vue'
import { useCommand } from './useCommand'

/**
 * An edit of something that others may edit meanwhile: it goes on top of the version that was read, or, once both have
 * been seen, on top of theirs.
 *
 * @param read the version that the form began with; 0 for what is not there yet
 * @param save sends what was typed with {@link version}
 */
export function useEdit<Current extends { version: number }>(read: number, save: () => Promise<void>) {
  const command = useCommand<Current>()
  const version = ref(read)

  /** Goes on with what was typed here, on top of what somebody else saved meanwhile. */
  async function mineCounts(): Promise<void> {
    if (!command.stale.value) return
    version.value = command.stale.value.version
    await save()
  }

  return { ...command, version, mineCounts }
}
