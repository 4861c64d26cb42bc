/** Scripts that hang on nothing but the sources, side by side: none of them uses both cores. Each tells at its end. */
import { spawn } from 'node:child_process'
import { root } from './install.mjs'

/** Whether each of the npm scripts passed, in their order. */
export function together(scripts) {
  return Promise.all(
    scripts.map(
      (script) =>
        new Promise((resolve) => {
          const child = spawn('npm', ['run', '--silent', script], { cwd: root, stdio: ['ignore', 'pipe', 'pipe'] })
          let told = ''
          for (const stream of [child.stdout, child.stderr]) stream.on('data', (words) => (told += words))
          child.on('exit', (code) => {
            process.stdout.write(told)
            resolve(code === 0)
          })
        }),
    ),
  )
}
