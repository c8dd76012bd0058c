import { registerSW } from 'virtual:pwa-register'
import { toast } from '@/shared/ui/toasts'

const CHECK_MS = 3_600_000

/** The application itself is kept on the device. A new version is taken when whoever works with it says so. */
export function keepUpToDate(): void {
  const update = registerSW({
    onNeedRefresh: () =>
      toast('A new version is here.', { label: 'Reload', run: () => void update(true) }, { stays: true }),
    onRegisteredSW: (_url, registration) => {
      if (registration) setInterval(() => void registration.update().catch(() => undefined), CHECK_MS)
    },
  })
}
