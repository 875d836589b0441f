import { type ChildProcess, spawn, spawnSync, type SpawnSyncReturns } from 'node:child_process'
import { cp, mkdtemp, rm } from 'node:fs/promises'
import { tmpdir } from 'node:os'
import { join, resolve } from 'node:path'
import { createInterface } from 'node:readline'
import { test as base } from '@playwright/test'

const root = resolve(import.meta.dirname, '../..')
const web = join(root, 'src/Hepno.Web')
const dll = join(web, 'bin/Release/net10.0/linux-x64/Hepno.Web.dll')

/** Where the clock of every tested program begins: a Tuesday morning, so that no test hangs on the hour it is run at. */
const begins = Date.parse('2026-06-02T09:30:00Z')

/** The day some days from the tested program's today. */
export const daysOn = (days: number): Date => new Date(begins + days * 86_400_000)

const newFolder = () => mkdtemp(join(tmpdir(), 'hepno-e2e-'))

export class Server {
  url = ''
  private child: ChildProcess | undefined
  private said: string[] = []
  private readonly shift = begins - Date.now()

  private constructor(
    readonly data: string,
    private readonly extra: string[],
    private readonly within: string[],
  ) {}

  static async start(...extra: string[]): Promise<Server> {
    return await Server.open({ extra })
  }

  /** On data of its own that are copied from a folder. */
  static async onCopyOf(folder: string, ...extra: string[]): Promise<Server> {
    const data = await newFolder()
    await cp(folder, data, { recursive: true })
    return await Server.open({ data, extra })
  }

  /** In a new data folder unless one is named; `within` is a command that gets the folder and then the program. */
  static async open(how: { data?: string; extra?: string[]; within?: string[] }): Promise<Server> {
    const data = how.data ?? (await newFolder())
    const server = new Server(data, how.extra ?? [], how.within ?? [])
    await server.launch()
    return server
  }

  /** SIGKILL: nothing gets a chance to tidy up. */
  async kill(): Promise<void> {
    await this.end('SIGKILL')
  }

  /** Starts again on the same data folder and, so that an open page finds it, the same port. */
  async restart(): Promise<void> {
    await this.end('SIGKILL')
    await this.launch(new URL(this.url).port)
  }

  /** Ends it as a terminal or the system does; says with which code and after how many seconds. */
  async stop(signal: 'SIGTERM' | 'SIGINT'): Promise<{ code: number | null; seconds: number }> {
    const from = performance.now()
    const code = await this.end(signal)
    return { code, seconds: (performance.now() - from) / 1000 }
  }

  /** Starts the program a second time and waits for its end. */
  again(...args: string[]): SpawnSyncReturns<string> {
    return spawnSync('dotnet', [dll, '--contentRoot', web, ...args], { encoding: 'utf8', timeout: 20_000 })
  }

  /** Runs one of the program's other verbs. */
  verb(...args: string[]): SpawnSyncReturns<string> {
    return spawnSync('dotnet', [dll, ...args], { encoding: 'utf8', timeout: 20_000 })
  }

  async dispose(): Promise<number | null> {
    const code = await this.end('SIGTERM')
    await rm(this.data, { recursive: true, force: true })
    return code
  }

  private async launch(port = '0'): Promise<void> {
    const program = ['dotnet', dll, '--contentRoot', web, '--port', port, '--data', this.data, '--host', 'tablet.test']
    program.push('--from', new Date(Date.now() + this.shift).toISOString())
    const [first, ...rest] = [...this.within, ...(this.within.length > 0 ? [this.data] : []), ...program, ...this.extra]
    const child = spawn(first!, rest, { stdio: ['ignore', 'pipe', 'pipe'] })
    this.child = child
    child.stderr.on('data', (chunk: Buffer) => this.said.push(chunk.toString()))
    this.url = await new Promise<string>((done, fail) => {
      const late = setTimeout(() => fail(new Error(`no ready line in 20 s:\n${this.said.join('')}`)), 20_000)
      createInterface({ input: child.stdout }).on('line', (line) => {
        this.said.push(`${line}\n`)
        const ready = /^Hepno is ready at (http:\S+)$/.exec(line)
        if (ready?.[1]) {
          clearTimeout(late)
          done(ready[1])
        }
      })
      child.once('exit', (code) => {
        clearTimeout(late)
        fail(new Error(`the program ended with ${code}:\n${this.said.join('')}`))
      })
    })
  }

  private async end(signal: NodeJS.Signals): Promise<number | null> {
    const child = this.child
    this.child = undefined
    if (!child || child.exitCode !== null || child.signalCode !== null) return child?.exitCode ?? null
    const over = new Promise<number | null>((done) => child.once('exit', (code) => done(code)))
    child.kill(signal)
    return await over
  }
}

/** The demo shop at a time, made once and copied for each test: making it takes longer than most tests. */
class DemoShops {
  private readonly made = new Map<string, Promise<string>>()
  private open: Promise<Server> | undefined

  at(clock: string[]): Promise<string> {
    const key = clock.join(' ')
    const folder = this.made.get(key) ?? DemoShops.make(clock)
    this.made.set(key, folder)
    return folder
  }

  /** One that runs on for tests that change nothing. */
  shared(): Promise<Server> {
    this.open ??= this.at([]).then((folder) => Server.onCopyOf(folder))
    return this.open
  }

  async close(): Promise<void> {
    await (await this.open)?.dispose()
    for (const folder of this.made.values()) await rm(await folder, { recursive: true, force: true })
  }

  private static async make(clock: string[]): Promise<string> {
    // a little earlier: no clock goes back in a copy
    const server = await Server.start('--demo', '--from', new Date(begins - 60_000).toISOString(), ...clock)
    await server.stop('SIGTERM')
    return server.data
  }
}

/** Tests run on the demo shop, or with `test.use({ empty: true })` on a new one; those that change nothing may share it. */
export const test = base.extend<
  { server: Server; empty: boolean; shared: boolean; now: string },
  { demoShops: DemoShops }
>({
  empty: [false, { option: true }],
  shared: [false, { option: true }],
  now: ['', { option: true }],
  demoShops: [
    async ({ browserName: _ }, use) => {
      const shops = new DemoShops()
      await use(shops)
      await shops.close()
    },
    { scope: 'worker' },
  ],
  server: async ({ empty, shared, now, demoShops }, use) => {
    if (shared) return await use(await demoShops.shared())
    const clock = now ? ['--now', now] : []
    const server = empty ? await Server.start(...clock) : await Server.onCopyOf(await demoShops.at(clock), ...clock)
    await use(server)
    await server.dispose()
  },
  baseURL: async ({ server }, use) => {
    await use(server.url)
  },
})
export { expect } from '@playwright/test'
