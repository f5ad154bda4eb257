// @ts-check
import { spawn } from 'node:child_process'
import { Stop } from './say.mjs'

/**
 * Runs a command to its end, keeping what it printed.
 * @param {string} command
 * @param {readonly string[]} args
 * @param {import('node:child_process').SpawnOptions} [options]
 * @returns {Promise<{ code: number, output: string }>}
 */
export function command(command, args, options = {}) {
  return new Promise((resolve) => {
    const child = spawn(command, args, { ...options, stdio: ['ignore', 'pipe', 'pipe'] })
    let output = ''
    const keep = (/** @type {Buffer} */ chunk) => {
      output = (output + chunk.toString()).slice(-200_000)
    }
    child.stdout?.on('data', keep)
    child.stderr?.on('data', keep)
    child.on('error', (error) => resolve({ code: 127, output: String(error) }))
    child.on('close', (code) => resolve({ code: code ?? 1, output }))
  })
}

/**
 * Runs a command that must succeed; its failure becomes one sentence and the end of what it printed.
 * @param {string} what what it was for, in words
 * @param {string} name
 * @param {readonly string[]} args
 * @param {import('node:child_process').SpawnOptions} [options]
 */
export async function mustRun(what, name, args, options = {}) {
  const { code, output } = await command(name, args, options)
  if (code === 0) return output
  if (/ENOSPC|No space left on device/i.test(output))
    throw new Stop(`${what} failed because the disk is full: free some space and start again.`)
  throw new Stop(
    `${what} failed (${name} ${args.slice(0, 3).join(' ')}, code ${code}). The end of what it ` +
      `said:\n${output.trim().split('\n').slice(-25).join('\n')}`,
  )
}
