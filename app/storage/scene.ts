export { EMPTY_SCENE, Scene } from '@core/live/scene';
