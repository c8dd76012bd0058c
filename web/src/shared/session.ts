import { defineStore } from 'pinia'
import { computed, ref } from 'vue'
import { onSignedOut, Problem, useDemoToken, type Schemas, get, remove, post, put } from './api/client'
import { nurseryNow, setNurseryClock } from './device/clock'
import { soon } from './device/patience'
import { forgetWhatWasRead } from './device/store'

export type Session = Schemas['SessionView']
/** The units somebody reads in, with what is needed to show and to send quantities in them. */
export type Units = Schemas['Measures']

const KEY = 'kg-session'

/** Who is signed in, what day it is for the nursery, and which units they read. */
export const useSession = defineStore('session', () => {
  const session = ref<Session | null>(null)
  const person = computed(() => session.value?.person ?? null)
  const units = computed<Units>(() => session.value!.measures)
  const today = computed(() => session.value?.today ?? '')
  const mayRecord = computed(() => person.value !== null && person.value.role !== 'VIEWER')
  const isOwner = computed(() => person.value?.role === 'OWNER')

  /** Without the network it is as it was the last time: the records that are made then are sent when it is back. */
  async function load(): Promise<void> {
    const kept = JSON.parse(localStorage.getItem(KEY) ?? 'null') as Session | null
    // what an older version kept has no measures
    const known = kept?.person && kept.measures ? kept : null
    try {
      // once it stands there, whoever asks again waits for what is so now
      const told = await soon(asked(), session.value ? null : known, take)
      if (told === known) remember(known)
      else take(told)
    } catch (failure) {
      if (!(failure instanceof Problem) || !failure.mayBeWritten || !known) throw failure
      remember(known)
    }
  }

  async function asked(): Promise<Session> {
    const askedAt = Date.now()
    const told = await get('/api/v1/session')
    setNurseryClock(told.now, askedAt)
    return told
  }

  function remember(known: Session): void {
    useDemoToken(known.demo)
    session.value = { ...known, today: nurseryNow().toISOString().slice(0, 10) }
  }

  function take(told: Session): void {
    session.value = told
    useDemoToken(told.demo)
    if (told.person) localStorage.setItem(KEY, JSON.stringify(told))
    else localStorage.removeItem(KEY)
  }

  async function signIn(name: string, password: string): Promise<void> {
    await post('/api/v1/session', { body: { name, password } })
    // the token changes with the session
    await load()
  }

  async function signOut(): Promise<void> {
    await remove('/api/v1/session')
    await forgetWhatWasRead()
    await load()
  }

  async function chooseUnits(chosen: Units['system']): Promise<void> {
    await put('/api/v1/me/units', { body: { units: chosen } })
    await load()
  }

  async function moveClock(to: string): Promise<void> {
    await put('/api/v1/demo-clock', { body: { today: to } })
    await load()
  }

  onSignedOut(() => {
    localStorage.removeItem(KEY)
    void forgetWhatWasRead()
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
