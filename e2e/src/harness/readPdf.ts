import { execFile } from 'node:child_process'
import { join } from 'node:path'
import { promisify } from 'node:util'

export interface PdfPath {
  readonly xMm: number
  readonly yMm: number
  readonly widthMm: number
  readonly heightMm: number
}

export interface PdfPage {
  readonly widthMm: number
  readonly heightMm: number
  readonly paths: readonly PdfPath[]
  readonly words: readonly string[]
}

/** A PDF as another program reads it. In a process of its own: its reader is a module that tests cannot load. */
export async function readPdf(path: string): Promise<readonly PdfPage[]> {
  const script = join(process.cwd(), 'e2e/src/harness/readPdf.mjs')
  const { stdout } = await promisify(execFile)(process.execPath, [script, path], { maxBuffer: 64 * 1024 * 1024 })
  return JSON.parse(stdout) as PdfPage[]
}
