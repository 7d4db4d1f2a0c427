export { JointDrawing } from './joint-drawing.tsx';
