import { expose } from 'comlink'
import { BenchRenderer } from './bench-rendering'

expose(new BenchRenderer())
