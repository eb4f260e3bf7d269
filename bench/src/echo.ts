import type { AddressInfo } from 'node:net';
import { WebSocketServer } from 'ws';

/** A server that gives what it hears to all others, and does nothing else; it tells its parent where it listens. */
const server = new WebSocketServer({ port: 0, host: '127.0.0.1' });
server.on('connection', (socket) => {
  socket.on('message', (data) => {
    for (const other of server.clients) if (other !== socket) other.send(data);
  });
});
server.on('listening', () => process.send!((server.address() as AddressInfo).port));
