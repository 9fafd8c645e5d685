import * as Comlink from 'comlink';
import { forecastWork } from './forecastWork';
import { mindWork } from './mindWork';
import { offerWork } from './offerWork';
import { solverWork } from './solverWork';
import { sweepWork } from './sweepWork';

/** All heavy work of the pages, in one script: each worker is of one kind at a time, and the browser fetches the core once for all of them. */
const api = { ...forecastWork, ...mindWork, ...offerWork, ...solverWork, ...sweepWork };
export type CoreWorker = typeof api;

Comlink.expose(api);
