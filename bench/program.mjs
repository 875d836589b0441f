import { spawn } from 'node:child_process'
import { mkdtempSync, readFileSync, rmSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { createInterface } from 'node:readline'

const [dll, web] = process.argv.slice(2)

/** Starts the program on a free port; in a folder of its own unless one is named, on one core when asked. */
export async function start({ data = mkdtempSync(join(tmpdir(), 'hepno-bench-')), extra = [], oneCore = false } = {}) {
  const command = [dll, '--contentRoot', web, '--port', '0', '--data', data, ...extra]
  const child = oneCore
    ? spawn('taskset', ['-c', '0', 'dotnet', ...command], { stdio: ['ignore', 'pipe', 'inherit'] })
    : spawn('dotnet', command, { stdio: ['ignore', 'pipe', 'inherit'] })
  const url = await new Promise((done, failed) => {
    child.once('exit', (code) => failed(new Error(`the program ended (${code}) before it was ready`)))
    createInterface({ input: child.stdout }).on('line', (line) => {
      const ready = /^Hepno is ready at (\S+)$/.exec(line)
      if (ready?.[1]) done(ready[1])
    })
  })
  await fetch(`${url}/healthz`)
  return {
    url,
    data,
    /** What it takes in memory, MB: VmRSS now, VmHWM at most. */
    memory: (what) =>
      Number(new RegExp(`${what}:\\s+(\\d+)`).exec(readFileSync(`/proc/${child.pid}/status`, 'utf8'))?.[1]) / 1024,
    /** SIGKILL: nothing gets a chance to tidy up; the folder stays. */
    kill: async () => {
      if (child.exitCode !== null || child.signalCode !== null) return
      const over = new Promise((done) => child.once('exit', done))
      child.kill('SIGKILL')
      await over
    },
    stop: async ({ keep = false } = {}) => {
      const over = new Promise((done) => child.once('exit', done))
      child.kill('SIGTERM')
      await over
      if (!keep) rmSync(data, { recursive: true, force: true })
    },
  }
}
