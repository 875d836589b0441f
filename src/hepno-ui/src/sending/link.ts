import { reactive } from 'vue'
import { letGo } from './presses'

/** Whether the program answers (the slip's edge shows it), and whether this device was let in. */
export const link = reactive({ lostAt: '', shutOut: false })

/** Notes that nothing answered, from when on. */
export function unanswered(): void {
  link.lostAt ||= new Date().toTimeString().slice(0, 5)
  letGo()
}
