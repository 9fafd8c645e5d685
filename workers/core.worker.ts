import * as Comlink from 'comlink';
import { workerIn } from './worker';

const { port1, port2 } = new MessageChannel();
let go: () => void = () => undefined;
port1.onmessage = () => go();
/** Behind all messages that are here by now. */
const turn = () =>
  new Promise<void>((then) => {
    go = then;
    port2.postMessage(0);
  });

/** All heavy work of the pages, in one script: the browser fetches the core once for all workers. */
Comlink.expose(workerIn(turn));
