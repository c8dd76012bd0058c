import { defineStore } from 'pinia'
import { computed, ref } from 'vue'
import { api, onSignedOut, type Schemas } from './api/client'

export type Session = Schemas['SessionView']
export type Units = 'METRIC' | 'US'

/** Who is signed in, what day it is for the nursery, and which units they read. */
export const useSession = defineStore('session', () => {
  const session = ref<Session | null>(null)
  const person = computed(() => session.value?.person ?? null)
  const units = computed<Units>(() => (person.value?.units as Units) ?? 'METRIC')
  const today = computed(() => session.value?.today ?? '')
  const mayRecord = computed(() => person.value !== null && person.value.role !== 'VIEWER')
  const isOwner = computed(() => person.value?.role === 'OWNER')

  async function load(): Promise<void> {
    session.value = await api<Session>('GET', '/session')
  }

  async function signIn(name: string, password: string): Promise<void> {
    session.value = await api<Session>('POST', '/session', { name, password })
    // the token changes with the session
    await load()
  }

  async function signOut(): Promise<void> {
    await api('DELETE', '/session')
    await load()
  }

  async function chooseUnits(chosen: Units): Promise<void> {
    await api('PUT', '/me/units', { units: chosen })
    await load()
  }

  async function moveClock(to: string): Promise<void> {
    await api('PUT', '/demo-clock', { today: to })
    await load()
  }

  onSignedOut(() => {
    if (session.value) session.value = { ...session.value, person: null as never }
  })

  return {
    session,
    person,
    units,
    today,
    mayRecord,
    isOwner,
    load,
    signIn,
    signOut,
    chooseUnits,
    moveClock,
  }
})
