/**
 * A phone's HEIC photograph as plain pixels: unpacked in a thread of its own, so that nobody waits for it, and ended where it
 * takes too long. What is too large is told by its header before it is unpacked.
 */
import 'server-only'
import { Worker } from 'node:worker_threads'

export interface RawPicture {
  width: number
  height: number
  /** RGBA */
  data: Uint8Array
}
export type HeicAnswer = RawPicture | { issue: 'too-big' | 'broken' }

const patienceMs = 30_000

/** Runs by itself, without a bundler: it only knows the package it unpacks with. */
const work = `
const { parentPort, workerData } = require('node:worker_threads')
const decode = require('heic-decode')
const { file, mostPixels } = workerData
decode.all({ buffer: Buffer.from(file) }).then(async (images) => {
  const image = images[0]
  if (!image) return parentPort.postMessage({ issue: 'broken' })
  if (image.width * image.height > mostPixels) return parentPort.postMessage({ issue: 'too-big' })
  const { width, height, data } = await image.decode()
  const pixels = new Uint8Array(data)
  parentPort.postMessage({ width, height, data: pixels }, [pixels.buffer])
}).catch(() => parentPort.postMessage({ issue: 'broken' }))
`

export function unpackHeic(file: Buffer, mostPixels: number): Promise<HeicAnswer> {
  return new Promise((resolve) => {
    const worker = new Worker(work, { eval: true, workerData: { file: Uint8Array.from(file), mostPixels } })
    const end = (answer: HeicAnswer) => {
      clearTimeout(timer)
      void worker.terminate()
      resolve(answer)
    }
    const timer = setTimeout(() => end({ issue: 'broken' }), patienceMs)
    worker.once('message', (answer: HeicAnswer) => end(answer))
    worker.once('error', () => end({ issue: 'broken' }))
    worker.once('exit', () => end({ issue: 'broken' }))
  })
}
