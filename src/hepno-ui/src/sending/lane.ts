/** The changes of one thing: one after another, and which of its versions this device made. */
export class Lane {
  private tail: Promise<unknown> = Promise.resolve()
  private readonly ours = new Set<number>()

  /** Runs a change after the ones before it. */
  after<T>(work: () => Promise<T>): Promise<T> {
    const done = this.tail.then(work, work)
    this.tail = done
    return done
  }

  /** Notes versions that a change made from one has led to. */
  made(from: number, to: number): void {
    for (let v = from + 1; v <= to; v++) this.ours.add(v)
  }

  /** Whether everything that came after a version was made here: then nobody else was first. */
  allOurs(from: number, to: number): boolean {
    for (let v = from + 1; v <= to; v++) if (!this.ours.has(v)) return false
    return true
  }

  /** The newest version that follows from one by changes made here alone. */
  newest(from: number): number {
    let v = from
    while (this.ours.has(v + 1)) v++
    return v
  }
}

const lanes = new Map<string, Lane>()

/** The thing an address belongs to: a kind and an id, whatever is done with it. */
export const thingOf = (path: string): string => path.split('/').slice(0, 4).join('/')

export function laneOf(path: string): Lane {
  const thing = thingOf(path)
  const lane = lanes.get(thing) ?? new Lane()
  lanes.set(thing, lane)
  return lane
}
