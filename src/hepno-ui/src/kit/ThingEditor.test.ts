import { mount } from '@vue/test-utils'
import { expect, it } from 'vitest'
import { nextTick } from 'vue'
import { text } from './fields'
import ThingEditor from './ThingEditor.vue'

interface Thing {
  id: string
  name: string
  note: string
}
const fields = [text<Thing>('Name', 'name'), text<Thing>('Note', 'note')]

/** An editor whose saves end when they are let. */
function opened() {
  const saves: { value: Thing; version: number; end: () => Promise<void> }[] = []
  const editor = mount(ThingEditor<Thing>, {
    props: {
      value: { id: 'x', name: 'Skua', note: '' },
      version: 1,
      fields,
      title: 'Skua',
      save: (value: Thing, version: number) =>
        new Promise<boolean>((done) => {
          saves.push({
            value,
            version,
            end: async () => {
              await editor.setProps({ value, version: version + 1 })
              done(true)
              await new Promise((later) => setTimeout(later))
              await nextTick()
            },
          })
        }),
    },
  })
  const box = (i: number) => editor.findAll('input')[i]!
  return { saves, box, save: () => editor.find('form').trigger('submit'), said: () => editor.find('button').text() }
}

it('what is typed while a save is on its way is a change of what that save made', async () => {
  const { saves, box, save, said } = opened()
  await box(0).setValue('Plover')
  await save()
  // back to what it was before the first save, and saved before that is answered
  await box(0).setValue('Skua')
  await save()
  expect(saves).toHaveLength(1)
  await saves[0]!.end()
  expect(saves.map((s) => [s.value.name, s.version])).toEqual([
    ['Plover', 1],
    ['Skua', 2],
  ])
  await saves[1]!.end()
  expect(said()).toBe('Saved')
  expect((box(0).element as HTMLInputElement).value).toBe('Skua')
})

it('what another field was saved as stays', async () => {
  const { saves, box, save } = opened()
  await box(0).setValue('Plover')
  await save()
  await box(1).setValue('cold')
  await saves[0]!.end()
  await save()
  expect(saves[1]).toMatchObject({ value: { name: 'Plover', note: 'cold' }, version: 2 })
})
