// The planner's worker.
import { expose } from 'comlink';
import { servePlanner } from './serve';

expose(servePlanner());
