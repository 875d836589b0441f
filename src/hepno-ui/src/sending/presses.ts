/**
 * No button acts twice while its first press is under way: a second click on it, a second Enter in its form, is swallowed
 * until every change that its press began was answered. Buttons that count by being pressed again say so with data-again.
 */
const changes = new Set<symbol>()
const pressed = new Set<Element>()

/** Notes that a change is on its way; returns how to say that it is over, which may be said twice. */
export function underWay(): () => void {
  const change = Symbol()
  changes.add(change)
  return () => {
    if (changes.delete(change)) release()
  }
}

/** Nothing answers: what is on its way is kept here, and every button may be pressed again. */
export function letGo(): void {
  changes.clear()
  release()
}

/** Lets the buttons go once nothing is on its way, unless what was done next has begun another change by then. */
function release(): void {
  setTimeout(() => {
    if (changes.size > 0) return
    for (const element of pressed) element.removeAttribute('aria-busy')
    pressed.clear()
  })
}

function press(event: Event, element: Element | null | undefined): void {
  if (!element || element.closest('[data-again]')) return
  if (pressed.has(element)) {
    event.preventDefault()
    event.stopImmediatePropagation()
    return
  }
  pressed.add(element)
  setTimeout(() => {
    if (changes.size === 0) pressed.delete(element)
    else if (pressed.has(element)) element.setAttribute('aria-busy', 'true')
  })
}

/** Watches all buttons and forms of the page. */
export function watchPresses(): void {
  window.addEventListener('click', (e) => press(e, (e.target as Element | null)?.closest?.('button, [role=button]')), {
    capture: true,
  })
  window.addEventListener('submit', (e) => press(e, e.target as Element), { capture: true })
}

const doing = new Set<string>()
/** The same for a deed that is done by a key: it is done once at a time. */
export async function once(name: string, work: () => Promise<void>): Promise<void> {
  if (doing.has(name)) return
  doing.add(name)
  try {
    await work()
  } finally {
    doing.delete(name)
  }
}
