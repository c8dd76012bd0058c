import { ref } from 'vue'

/** Whether the dialog is open that asks for the password once more. */
export const asking = ref(false)
let answer: ((confirmed: boolean) => void) | null = null

/** Asks for the password. @return whether the server has taken it */
export function askForPassword(): Promise<boolean> {
  answer?.(false)
  asking.value = true
  return new Promise((done) => (answer = done))
}

export function answered(confirmed: boolean): void {
  asking.value = false
  answer?.(confirmed)
  answer = null
}
