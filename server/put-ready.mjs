// node server/put-ready.mjs JAVA-ARGUMENT…: starts the program once, asks what a browser asks first, and stops it. With
// -XX:ArchiveClassesAtExit among the arguments the virtual machine then writes down what every start reads.
import { spawn } from 'node:child_process'
import { createServer } from 'node:net'
import { setTimeout } from 'node:timers/promises'

const LONGEST_MS = 180_000

const free = createServer().listen(0, '127.0.0.1')
await new Promise((open) => free.once('listening', open))
const { port } = free.address()
await new Promise((closed) => free.close(closed))

const java = spawn('java', [...process.argv.slice(2), `--server.port=${port}`], { stdio: ['ignore', 'inherit', 'inherit'] })
const ended = new Promise((end) => java.once('exit', end))
const answers = (path) => fetch(`http://127.0.0.1:${port}${path}`).then((answer) => answer.ok, () => false)

const until = Date.now() + LONGEST_MS
while (java.exitCode === null && Date.now() < until && !(await answers('/api/standing'))) await setTimeout(100)
const isUp = await answers('/')
java.kill()
await ended
process.exitCode = isUp ? 0 : 1
