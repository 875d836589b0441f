import { sound } from './sound'
import { wake } from './wake'

/** Touch: taken on release inside the key, and the key keeps no focus. */
export function tap(event: PointerEvent, deed: () => void): void {
  sound.unlock()
  wake.start()
  const key = event.currentTarget as HTMLElement
  const under = document.elementFromPoint(event.clientX, event.clientY)
  key.blur()
  if (under && key.contains(under)) deed()
}
