import { createServer, type Server } from 'node:http'

/**
 * The least a Node server can do with a posted body: read it, parse it, send it back. What a route of ours is
 * measured against.
 */
export function echoServer(port: number): Promise<Server> {
  const server = createServer((request, response) => {
    const chunks: Buffer[] = []
    request.on('data', (chunk: Buffer) => chunks.push(chunk))
    request.on('end', () => {
      response.setHeader('content-type', 'application/json')
      response.end(JSON.stringify(JSON.parse(Buffer.concat(chunks).toString())))
    })
  })
  return new Promise((resolve) => {
    server.listen(port, '127.0.0.1', () => resolve(server))
  })
}
