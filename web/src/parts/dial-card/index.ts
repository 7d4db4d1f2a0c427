export { DialCard, type DialCardProps } from './dial-card.tsx';
export { DialStrip } from './dial-strip.tsx';
