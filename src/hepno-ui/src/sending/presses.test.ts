import { afterEach, beforeEach, expect, test, vi } from 'vitest'
import { letGo, once, underWay, watchPresses } from './presses'

watchPresses()
beforeEach(() => vi.useFakeTimers())
afterEach(() => vi.useRealTimers())

function button(html = '<button>Save</button>'): { click: () => void; deeds: (() => void)[]; element: Element } {
  document.body.innerHTML = html
  const element = document.querySelector('button')!
  const deeds: (() => void)[] = []
  element.addEventListener('click', () => deeds.push(underWay()))
  return { click: () => element.click(), deeds, element }
}

test('a second click is swallowed while the first is under way, and counts after it', () => {
  const b = button()
  b.click()
  vi.advanceTimersByTime(1)
  b.click()
  expect([b.deeds.length, b.element.getAttribute('aria-busy')]).toEqual([1, 'true'])
  b.deeds[0]!()
  // told twice that it is over
  b.deeds[0]!()
  vi.advanceTimersByTime(1)
  b.click()
  expect([b.deeds.length, b.element.hasAttribute('aria-busy')]).toEqual([2, false])
  b.deeds[1]!()
  vi.advanceTimersByTime(1)
})

test('two changes of one press hold it until the last is over', () => {
  const b = button()
  b.click()
  b.deeds.push(underWay())
  b.deeds[0]!()
  vi.advanceTimersByTime(1)
  b.click()
  expect(b.deeds).toHaveLength(2)
  b.deeds[1]!()
  vi.advanceTimersByTime(1)
})

test('a button that changes nothing, and one that counts, may be pressed again at once', () => {
  const b = button('<p data-again><button>+1</button></p>')
  b.click()
  b.click()
  expect(b.deeds).toHaveLength(2)
  b.deeds.forEach((over) => over())
  vi.advanceTimersByTime(1)
  document.body.innerHTML = '<button>Open</button>'
  const opened = vi.fn()
  const plain = document.querySelector('button')!
  plain.addEventListener('click', opened)
  plain.click()
  vi.advanceTimersByTime(1)
  plain.click()
  expect(opened).toHaveBeenCalledTimes(2)
})

test('a deed by a key is done once at a time', async () => {
  const done: (() => void)[] = []
  const work = vi.fn(() => new Promise<void>((over) => done.push(over)))
  const first = once('ask', work)
  await once('ask', work)
  expect(work).toHaveBeenCalledTimes(1)
  done[0]!()
  await first
  void once('ask', work)
  expect(work).toHaveBeenCalledTimes(2)
})

test('where nothing answers, every button may be pressed again', () => {
  const b = button()
  b.click()
  vi.advanceTimersByTime(1)
  letGo()
  vi.advanceTimersByTime(1)
  b.click()
  expect(b.deeds).toHaveLength(2)
  b.deeds.forEach((over) => over())
  vi.advanceTimersByTime(1)
})
