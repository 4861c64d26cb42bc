/** `node readPdf.mjs file.pdf`: the pages of a PDF as JSON: their size, straight lines, boxes of other paths, and words. In mm. */
import { readFile } from 'node:fs/promises'
import { getDocument, OPS } from 'pdfjs-dist/legacy/build/pdf.mjs'

const MM_PER_PT = 25.4 / 72
const data = new Uint8Array(await readFile(process.argv[2]))
const pdf = await getDocument({ data, verbosity: 0, useSystemFonts: false }).promise
const pages = []
for (let number = 1; number <= pdf.numPages; number += 1) {
  const page = await pdf.getPage(number)
  const [, , width, height] = page.view
  const { fnArray, argsArray } = await page.getOperatorList()
  const paths = []
  // Only moves and whole scales are written before a path; both are followed.
  const stack = []
  let matrix = [1, 0, 0, 1, 0, 0]
  fnArray.forEach((fn, index) => {
    const args = argsArray[index]
    if (fn === OPS.save) stack.push(matrix)
    if (fn === OPS.restore) matrix = stack.pop() ?? matrix
    if (fn === OPS.transform) {
      const [a, b, c, d, e, f] = args
      const [p, q, r, s, t, u] = matrix
      matrix = [a * p + b * r, a * q + b * s, c * p + d * r, c * q + d * s, e * p + f * r + t, e * q + f * s + u]
    }
    if (fn === OPS.constructPath) {
      const [left, bottom, right, top] = args[2]
      const [a, , , d, e, f] = matrix
      paths.push({
        xMm: (left * a + e) * MM_PER_PT,
        yMm: (height - (top * d + f)) * MM_PER_PT,
        widthMm: Math.abs((right - left) * a) * MM_PER_PT,
        heightMm: Math.abs((top - bottom) * d) * MM_PER_PT,
      })
    }
  })
  const words = (await page.getTextContent()).items.map((item) => item.str).filter((text) => text.trim() !== '')
  pages.push({ widthMm: width * MM_PER_PT, heightMm: height * MM_PER_PT, paths, words })
}
process.stdout.write(JSON.stringify(pages))
