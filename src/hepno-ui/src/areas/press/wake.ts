/**
 * Keeps the screen awake in a run. Over plain http a page may not ask for that, so a film with a sound nobody hears plays behind the field;
 * a browser lets it begin with the first tap only.
 */
let film: HTMLVideoElement | null = null

export const wake = {
  /** The film of the run that is shown; none when it is left. */
  shows(element: HTMLVideoElement | null): void {
    film = element
  },
  /** Called with every tap and key: begins what the first one is allowed to begin. */
  start(): void {
    if (film?.paused) void film.play().catch(() => undefined)
  },
}
