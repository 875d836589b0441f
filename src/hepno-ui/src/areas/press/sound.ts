/** Two notes when a press is due, one low note each second it is over. Unlocked by the first tap. */
let context: AudioContext | undefined

function note(hertz: number, after: number, seconds: number): void {
  if (context?.state !== 'running') return
  const oscillator = context.createOscillator()
  const volume = context.createGain()
  volume.gain.value = 0.2
  oscillator.frequency.value = hertz
  oscillator.connect(volume).connect(context.destination)
  oscillator.start(context.currentTime + after)
  oscillator.stop(context.currentTime + after + seconds)
}

export const sound = {
  unlock(): void {
    context ??= new AudioContext()
    if (context.state === 'suspended') void context.resume()
  },
  ready(): void {
    note(660, 0, 0.18)
    note(880, 0.2, 0.28)
  },
  late(): void {
    note(196, 0, 0.25)
  },
}
