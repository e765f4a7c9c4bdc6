import { expose } from 'comlink';
import { rehearseWork } from './rehearseWork';

expose(rehearseWork);
