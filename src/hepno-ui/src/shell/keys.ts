/** Single letters work only when no field has focus and no dialog is open. */
export function typing(event: KeyboardEvent): boolean {
  const target = event.target as HTMLElement | null
  return target?.closest('input, textarea, select, [contenteditable], [role=dialog]') != null
}

export const allKeys: [string, string][] = [
  ['G 1–8', 'a station of the work line'],
  ['G S, G F, G N', 'Shelf, Floor, Numbers'],
  ['N', 'new ask'],
  ['/', 'find an order'],
  ['C', 'the customer of the order in hand, and the same again'],
  [', .', 'previous and next order in hand'],
  ['\\', 'turn or open the slip'],
  ['L, P', 'on Ask, another garment, another print'],
  ['[ ]', 'on Ask, the size that is drawn'],
  ['Z', 'take back what this device did last'],
  ['Ctrl Enter', 'the slip’s action'],
  ['E', 'explain the figure in focus, or the chosen cost'],
  ['?', 'these keys'],
]
