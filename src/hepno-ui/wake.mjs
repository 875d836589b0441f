/**
 * Makes public/wake.webm: six seconds of the run's own paper colour with a tone nobody hears, for screens that would else go dark.
 * A film with sound that plays keeps a screen awake where the page may not ask for it: over plain http. Usage: CHROMIUM=... node wake.mjs
 */
import { writeFileSync } from 'node:fs'
import { chromium } from 'playwright-core'

const browser = await chromium.launch({
  executablePath: process.env.CHROMIUM,
  args: ['--autoplay-policy=no-user-gesture-required'],
})
const page = await browser.newPage()
const bytes = await page.evaluate(async () => {
  const canvas = Object.assign(document.createElement('canvas'), { width: 160, height: 90 })
  const paint = canvas.getContext('2d')
  let frame = 0
  // two papers that no eye tells apart: a still picture may be taken for none
  const painting = setInterval(() => {
    paint.fillStyle = frame++ % 2 ? '#fcfaf5' : '#fbf9f4'
    paint.fillRect(0, 0, 160, 90)
  }, 250)
  const audio = new AudioContext()
  await audio.resume()
  const tone = audio.createOscillator()
  tone.frequency.value = 20
  const quiet = audio.createGain()
  quiet.gain.value = 0.0005
  const track = audio.createMediaStreamDestination()
  tone.connect(quiet).connect(track)
  tone.start()
  const stream = canvas.captureStream(4)
  stream.addTrack(track.stream.getAudioTracks()[0])
  const recorder = new MediaRecorder(stream, {
    mimeType: 'video/webm;codecs=vp8,opus',
    videoBitsPerSecond: 20_000,
    audioBitsPerSecond: 6_000,
  })
  const parts = []
  recorder.ondataavailable = (part) => parts.push(part.data)
  recorder.start()
  await new Promise((later) => setTimeout(later, 6000))
  const stopped = new Promise((done) => (recorder.onstop = done))
  recorder.stop()
  await stopped
  clearInterval(painting)
  return Array.from(new Uint8Array(await new Blob(parts).arrayBuffer()))
})
writeFileSync(new URL('./public/wake.webm', import.meta.url), Buffer.from(bytes))
await browser.close()
