export { type PlantPlaces, plantPlaces } from './plantPlaces.ts';
export { type PlantCourse, type PlantStage, plantCourse, plantStages, stageAt } from './stage.ts';
