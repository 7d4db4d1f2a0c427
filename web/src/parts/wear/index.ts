export { GunWear } from './gun-wear.tsx';
export { LookFirst } from './look-first.tsx';
