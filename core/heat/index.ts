export { arcEnergyKjPerMm, migEfficiency } from './heat-input.ts';
