export { axisRange, figureOn, mapAxes, movedTo, type AxisRange, type MapAxis } from './axes.ts';
export { cellFigure, cellOf, mapCell, type Cell, type CellRun, type MapRequest } from './cell.ts';
export { contour, type Segment } from './contour.ts';
export { cellAt, marginsAt, placeOf, zoneAreas, zoneCentre, type Margin, type ZoneMap } from './reading.ts';
export { goodZones, zoneOf, zones, zoneWords, type Zone } from './zone.ts';
export { filledFrom, islandPass, islandsOf, mapPasses, placesToRun, type MapPass } from './refine.ts';
export { sweepOf, sweepQuantities, type DialSweep, type SweepQuantity, type SweepStop } from './sweep.ts';
