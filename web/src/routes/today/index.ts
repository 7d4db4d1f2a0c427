export { loadToday, Today } from './today.tsx';
