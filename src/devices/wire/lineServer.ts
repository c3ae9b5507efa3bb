import { createServer, type Server, type Socket } from 'node:net';
import { createInterface } from 'node:readline';

/**
 * The device's end of a wire.
 *
 * @param answer - to one line; undefined for one that the device does not know
 * @param onConnect - somebody has connected
 */
export function lineServer(
  answer: (line: string) => string | undefined,
  onConnect: (socket: Socket) => void = () => undefined,
): Server {
  return createServer((socket) => {
    socket.on('error', () => socket.destroy());
    const lines = createInterface({ input: socket, crlfDelay: Infinity });
    lines.on('error', () => undefined);
    lines.on('line', (line) => {
      const said = answer(line);
      if (said !== undefined && !socket.destroyed) socket.write(`${said}\r\n`);
    });
    onConnect(socket);
  });
}
