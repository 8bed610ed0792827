// The planner in a thread of Node, for tests.
import { expose } from 'comlink';
import nodeEndpoint from 'comlink/dist/esm/node-adapter.mjs';
import { parentPort } from 'node:worker_threads';
import { servePlanner } from '../serve';

if (!parentPort) throw new RangeError('not a thread');
expose(servePlanner(), nodeEndpoint(parentPort));
