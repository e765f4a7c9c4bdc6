import { expose } from 'comlink';
import { clipsWork } from './clipsWork';

expose(clipsWork);
