import { mount } from '@vue/test-utils'
import { describe, expect, it } from 'vitest'
import Field from './Field.vue'
import PickOne from './PickOne.vue'

/** What a screen reader says after the name of a control. */
function description(form: ReturnType<typeof mount>, control: string): string {
  const about = form.get(control).attributes('aria-describedby')
  return about ? form.get(`[id="${about}"]`).text() : ''
}

describe('a field', () => {
  it('is named by its label and unit alone; what is wrong describes it', () => {
    const form = mount(Field, {
      props: {
        modelValue: '-3',
        label: 'Diameter',
        unit: 'mm',
        hint: 'at the ring',
        error: 'must be above 0',
      },
    })
    expect(form.get('label').text()).toBe('Diametermm')
    expect(form.get('input').attributes('aria-invalid')).toBe('true')
    expect(description(form, 'input')).toBe('must be above 0')
  })

  it('is described by its hint while nothing is wrong', () => {
    const form = mount(Field, { props: { modelValue: '12', label: 'Diameter', hint: 'at the ring' } })
    expect(form.get('input').attributes('aria-invalid')).toBeUndefined()
    expect(description(form, 'input')).toBe('at the ring')
    expect(mount(Field, { props: { modelValue: '', label: 'Note' } }).html()).not.toContain(
      'aria-describedby',
    )
  })
})

describe('a list to choose from', () => {
  it('says what is wrong beside its label, too', () => {
    const form = mount(PickOne, {
      props: { modelValue: 'A', label: 'Place', options: [['A', 'North field']], error: 'must be there' },
    })
    expect(form.get('label').text()).toBe('PlaceNorth field')
    expect(description(form, 'select')).toBe('must be there')
  })
})
