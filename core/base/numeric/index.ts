export { nextUniform, randomStream, type RandomStream } from './random.ts';
