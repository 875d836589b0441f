import { execFileSync, spawnSync } from 'node:child_process'
import { closeSync, mkdtempSync, openSync, rmSync, writeFileSync, writeSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { clean } from './axe'
import { expect, Server, test } from './server'

/** How the program starts, ends and refuses to start; no screen is needed for it. */

test('a taken port is one sentence and code 2', async ({ server }) => {
  const port = new URL(server.url).port
  const folder = mkdtempSync(join(tmpdir(), 'hepno-port-'))
  const second = server.again('--port', port, '--data', folder)
  expect(second.status).toBe(2)
  expect(second.stderr.trim()).toBe(`Port ${port} is taken: choose another with --port, or --port 0 for any free one.`)
  rmSync(folder, { recursive: true })
})

test('one data folder, one program', async ({ server }) => {
  const second = server.again('--port', '0', '--data', server.data)
  expect(second.status).toBe(2)
  expect(second.stderr.trim().split('\n')).toHaveLength(1)
  expect(second.stderr).toContain(server.data)
})

test('data of a newer program is left alone', async ({ server }) => {
  await server.stop('SIGTERM')
  const file = openSync(join(server.data, 'hepno.db'), 'r+')
  writeSync(file, Buffer.from([0, 0, 0x23, 0x28]), 0, 4, 60) // the database's user_version: 9000
  closeSync(file)
  const second = server.again('--port', '0', '--data', server.data)
  expect(second.status).toBe(2)
  expect(second.stderr).toContain('newer')
})

for (const signal of ['SIGTERM', 'SIGINT'] as const) {
  test(`${signal} ends it within three seconds with code 0, an open page or not`, async ({ server, page }) => {
    await page.goto('/ask')
    await expect(page.locator('header.line')).toBeVisible()
    await expect.poll(() => page.evaluate(() => performance.getEntriesByType('resource').length)).toBeGreaterThan(3)
    const { code, seconds } = await server.stop(signal)
    expect(code).toBe(0)
    expect(seconds).toBeLessThan(3)
  })
}

test('a full disk refuses in a sentence, keeps what it took, and goes on reading', async () => {
  // a disk of three megabytes where one may be mounted, else a limit on the size of a file
  const mountable = spawnSync('unshare', ['-Urm', 'true']).status === 0
  const small = mountable
    ? ['unshare', '-Urm', 'bash', '-c', 'mount -t tmpfs -o size=3m none "$0" && exec "$@"']
    : ['bash', '-c', 'ulimit -f 1500 && exec "$@"']
  const server = await Server.open({ within: small })
  const put = async (id: string) =>
    await fetch(`${server.url}/api/customers/${id}`, {
      method: 'PUT',
      headers: { 'content-type': 'application/json' },
      body: JSON.stringify({ name: `Customer ${id}`, contact: 'x'.repeat(500) }),
    })
  let kept = 0
  let refused: Response | undefined
  while (kept < 20_000 && refused === undefined) {
    const answer = await put(`c${kept}`)
    if (answer.ok) kept++
    else refused = answer
  }
  expect(refused?.status).toBe(507)
  const body = (await refused!.json()) as { problems: { sentence: string; remedy: string }[] }
  expect(body.problems[0]?.sentence).toBe('The disk is full: nothing more can be kept.')
  const all = (await (await fetch(`${server.url}/api/customers`)).json()) as unknown[]
  expect(all).toHaveLength(kept)
  expect((await put('again')).status).toBe(507)
  expect((await fetch(`${server.url}/api/line`)).status).toBe(200)
  expect(await server.dispose()).toBe(0)
})

test('data that is gone, damaged or not to be written is one true sentence and no new shop', async ({ server }) => {
  await fetch(`${server.url}/api/copies`, { method: 'POST' })
  await server.stop('SIGTERM')
  for (const name of ['hepno.db', 'hepno.db-wal', 'hepno.db-shm']) rmSync(join(server.data, name), { force: true })
  const gone = server.again('--port', '0', '--data', server.data)
  expect(gone.status).toBe(2)
  expect(gone.stderr.trim().split('\n')).toHaveLength(1)
  expect(gone.stderr).toMatch(
    /^There is no shop in .*, but there are copies of one: the last, asked-\d{8}-\d{6}, holds \d+ orders\. Put it back: \.\/hepno restore /,
  )
  const [, command] = /Put it back: \.\/hepno restore (\S+) --data/.exec(gone.stderr)!
  expect(server.verb('restore', command!, '--data', server.data).status).toBe(0)
  writeFileSync(join(server.data, 'hepno.db'), 'x'.repeat(8192))
  const damaged = server.again('--port', '0', '--data', server.data)
  expect(damaged.status).toBe(2)
  expect(damaged.stderr).toMatch(/^The data in .* is damaged\. Put the last good copy back/)
  const never = server.again('--port', '0', '--data', '/proc/nowhere')
  expect(never.status).toBe(2)
  expect(never.stderr.trim()).toBe('The folder /proc/nowhere cannot be made or reached. Name another with --data.')
  // a folder that is there and that nobody may write to
  const held = server.again('--port', '0', '--data', '/sys/kernel')
  expect(held.status).toBe(2)
  expect(held.stderr.trim()).toMatch(/^The folder \/sys\/kernel cannot be written\./)
})

test('an archive taken while it runs is restored with the two verbs', async ({ server }) => {
  const file = join(tmpdir(), `hepno-archive-${process.pid}`)
  const taken = server.verb('backup', file, '--data', server.data)
  expect(taken.status).toBe(0)
  const folder = mkdtempSync(join(tmpdir(), 'hepno-restored-'))
  expect(server.verb('restore', file, '--data', folder).status).toBe(0)
  const restored = await Server.open({ data: folder })
  const line = async (url: string) => (await (await fetch(`${url}/api/line`)).json()) as { stations: object }
  expect((await line(restored.url)).stations).toEqual((await line(server.url)).stations)
  await restored.stop('SIGTERM')
  // over a shop that is there it says what it would put back, and asks
  const asks = server.verb('restore', file, '--data', folder)
  expect(asks.status).toBe(2)
  expect(asks.stdout).toMatch(
    /^This would put back \d+ orders, \d+ customers and \d+ files, last changed 2026-06-02; made/,
  )
  expect(asks.stderr.trim()).toBe('Nothing was changed. To go on, say --yes.')
  expect(server.verb('restore', file, '--data', folder, '--yes').status).toBe(0)
  expect(server.verb('back', '--data', folder).stderr).toContain('there is nothing to go back to')
  writeFileSync(file, 'not an archive')
  const bad = server.verb('restore', file, '--data', folder)
  expect(bad.status).not.toBe(0)
  expect(bad.stderr.trim().split('\n')).toHaveLength(1)
  execFileSync('rm', ['-rf', file, folder])
})

test('the owner lets the shop’s network in by a button, and it holds from the next start on', async ({
  page,
  server,
}) => {
  await page.goto('/numbers')
  await page.getByRole('button', { name: 'Let other devices of the shop reach it' }).click()
  await expect(page.getByText('Only this machine reaches Hepno until it is stopped and started again.')).toBeVisible()
  await clean(page)
  await server.stop('SIGTERM')
  await server.restart()
  await page.goto(`${server.url}/numbers`)
  // a machine without a private address says so instead of showing one
  await expect(page.getByText(/never forward this port|has no address on a private network/).first()).toBeVisible()
  await page.getByRole('button', { name: 'Keep it to this machine' }).click()
  await expect(page.getByRole('button', { name: 'Let other devices of the shop reach it' })).toBeVisible()
})
