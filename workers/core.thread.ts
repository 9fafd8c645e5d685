import { parentPort } from 'node:worker_threads';
import * as Comlink from 'comlink';
import nodeEndpoint from 'comlink/dist/umd/node-adapter.js';
import { immediately } from './immediately';
import { workerIn } from './worker';

/** The same on a thread of the server. */
if (parentPort) Comlink.expose(workerIn(immediately), nodeEndpoint(parentPort));
