import type { Schemas } from '@/shared/api/client'
import { show } from '@/shared/quantity'
import type { Units } from '@/shared/session'

/** What a figure that nobody measured is taken as, with its unit; empty where nothing is taken for it. */
export function takenAs({ what, takenAs: value }: Schemas['NotMeasured'], units: Units): string {
  if (value === null || value === undefined) return ''
  switch (what) {
    case 'RING':
    case 'FROM_UNION':
      return show(value, 'length', units)
    case 'LEAN':
      return `${Math.round(value)}°`
    case 'FILL':
      return `${Math.round(value)}%`
    default:
      return String(Math.round(value))
  }
}
