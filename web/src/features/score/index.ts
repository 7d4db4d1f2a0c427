export { loadAnyScore, loadScore, ScoreView } from './score.tsx';
