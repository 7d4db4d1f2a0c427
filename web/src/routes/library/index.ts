export { Library, loadLibrary } from './library.tsx';
