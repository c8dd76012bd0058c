import { mount } from '@vue/test-utils'
import { describe, expect, it } from 'vitest'
import { nextTick } from 'vue'
import Choice from './Choice.vue'

const OPTIONS: [string, string][] = [
  ['TENT', 'Closed tent'],
  ['SHADE', 'Deep shade'],
  ['OPEN', 'In the open'],
]

function choice(chosen: string) {
  const shown = mount(Choice, {
    attachTo: document.body,
    props: {
      modelValue: chosen,
      'onUpdate:modelValue': (value: string) => void shown.setProps({ modelValue: value }),
      label: 'Moved to',
      options: OPTIONS,
    },
  })
  return shown
}

function checked(shown: ReturnType<typeof choice>): string[] {
  return shown.findAll('[role=radio][aria-checked=true]').map((one) => one.text())
}

describe('one of a few', () => {
  it('is named by its label', async () => {
    const shown = choice('TENT')
    await nextTick()
    const label = shown.get('[role=radiogroup]').attributes('aria-labelledby')!
    expect(document.getElementById(label)?.textContent).toBe('Moved to')
  })

  it('is chosen by a tap', async () => {
    const shown = choice('TENT')
    await shown.findAll('[role=radio]')[2]!.trigger('click')
    expect(checked(shown)).toEqual(['In the open'])
  })

  it('is chosen by arrow keys, round and round, and is one stop of the tabulator', async () => {
    const shown = choice('SHADE')
    await nextTick()
    const stops = () => shown.findAll('[role=radio][tabindex="0"]').map((one) => one.text())
    expect(stops()).toEqual(['Deep shade'])
    const group = shown.get('[role=radiogroup]')
    ;(shown.findAll('[role=radio]')[1]!.element as HTMLElement).focus()
    await group.trigger('keydown', { key: 'ArrowRight' })
    expect(checked(shown)).toEqual(['In the open'])
    expect(stops()).toEqual(['In the open'])
    await group.trigger('keydown', { key: 'ArrowRight' })
    expect(checked(shown)).toEqual(['Closed tent'])
    await group.trigger('keydown', { key: 'ArrowUp' })
    expect(checked(shown)).toEqual(['In the open'])
  })
})
