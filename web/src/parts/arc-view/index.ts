export { drawArc, momentAt, rowAt, type ArcMoment } from './arc-picture.ts';
export { audioContext, clickSound, hasSound, playArc, type Hum } from './sound.ts';
