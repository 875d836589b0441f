/** What a run stands at on this device. */
export interface Moment {
  held: boolean
  done: boolean
  /** Nothing to lay and nothing to judge here. */
  waits: boolean
  phase: 'lay' | 'press' | 'again'
  /** A piece is to be laid. */
  hasPiece: boolean
  /** What is done with it where nothing is pressed. */
  work: string
  /** A first piece waits for the yes. */
  first: boolean
  /** Of the press, as long as it is closed; below 0 when it should be open. */
  seconds: number
  /** It is closed too long. */
  over: boolean
}

/** What the hands do now, in a word read from two metres. */
export function verbOf(at: Moment): string {
  if (at.held) return 'Held'
  if (at.done) return 'Done'
  if (at.waits) return 'Wait'
  if (at.phase === 'lay') {
    if (at.hasPiece) return at.work || 'Lay'
    return at.first ? 'Look' : 'Peel'
  }
  if (at.over) return 'Lift now'
  if (at.seconds <= 0) return 'Lift'
  return at.phase === 'again' ? 'Again' : 'Press'
}
