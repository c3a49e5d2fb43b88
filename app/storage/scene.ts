export { EMPTY_SCENE, Scene } from '@core/site/live/scene';
