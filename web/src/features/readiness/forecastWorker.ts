import { expose } from 'comlink';
import { forecaster } from './drawFutures.ts';

expose(forecaster);
